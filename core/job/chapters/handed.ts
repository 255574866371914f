import { dict } from '../../base/dict'
import type { Chapter } from '../chapters'
import { refuse } from '../log/chapter'
import { unknownStep } from './plan/unknown-step'

export interface HandedEvents {
  /** Steps are for somebody who only helps; `null` takes them back. */
  'steps-handed': { stepIds: string[]; to: string | null }
}

/** What was handed to whom. */
export interface HandedState {
  /** Step id → who ticks it, besides whoever runs the job. */
  handed: Record<string, string>
}

export const nothingHanded = (): HandedState => ({ handed: dict() })

export const handed: Chapter<HandedEvents> = {
  'steps-handed': {
    words: (_state, { payload: { stepIds, to } }) =>
      `${stepIds.length === 1 ? 'A step' : `${stepIds.length} steps`} ${to === null ? 'taken back' : 'handed on'}`,
    wants: 'work',
    undo: true,
    afterHandover: false,
    afterCallOff: false,
    admit: (state, { payload: { stepIds, to } }) => {
      for (const stepId of stepIds) {
        const unknown = unknownStep(state, stepId)
        if (unknown) return { ...unknown, path: 'payload.stepIds' }
        if (to !== null && state.done[stepId]) return refuse('payload.stepIds', 'One of these is done already.')
      }
      return null
    },
    apply: (state, { payload: { stepIds, to } }) => {
      for (const stepId of stepIds)
        if (to === null) delete state.handed[stepId]
        else state.handed[stepId] = to
    },
  },
}
