import { dict } from '../../base/dict'
import type { Caution } from '../../pack/things'
import type { Chapter, JobState } from '../chapters'
import { refuse } from '../log/chapter'
import type { Refusal } from '../log/chapter'
import { stepView } from '../views/steps'

export interface CautionEvents {
  /** Somebody has read serious cautions, once for the whole job. */
  'caution-acknowledged': { cautionIds: string[] }
}

export interface CautionState {
  /** Serious cautions that somebody has read. */
  acknowledged: Record<string, { at: string; personId: string }>
}

export const noCautions = (): CautionState => ({ acknowledged: dict() })

export const cautions: Chapter<CautionEvents> = {
  'caution-acknowledged': {
    words: 'Caution read',
    wants: 'help',
    undo: true,
    afterHandover: false,
    afterCallOff: false,
    admit: (state, { payload }) => {
      const stranger = payload.cautionIds.find(id => !state.procedure?.cautions.some(caution => caution.id === id))
      return stranger === undefined ? null : refuse('payload.cautionIds', `This job has no caution "${stranger}".`)
    },
    apply: (state, { payload, deviceTime, personId }) => {
      for (const id of payload.cautionIds) state.acknowledged[id] ??= { at: deviceTime, personId }
    },
  },
}

/** Serious cautions of a step that nobody on this job has read yet. */
export function cautionsToRead(state: JobState, stepId: string): Caution[] {
  return stepView(state, stepId)?.cautions.filter(caution => caution.serious && !state.acknowledged[caution.id]) ?? []
}

/** Why a step cannot be done before its serious cautions are read. */
export function cautionUnread(state: JobState, stepId: string): Refusal | null {
  const [caution] = cautionsToRead(state, stepId)
  return caution ? refuse('payload.stepId', `Read first, once for this job: ${caution.title}. ${caution.text}`) : null
}
