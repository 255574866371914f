import { byId } from '../../base/by-id'
import { dict } from '../../base/dict'
import type { Chapter } from '../chapters'
import { refuse } from '../log/chapter'
import { gearsOf } from '../views/activity'
import { blockersOf } from '../views/blockers'
import { unknownStep } from './plan/unknown-step'

export type GearResult = 'clean' | 'stiff' | 'noisy' | 'refuses'

export interface ProvingEvents {
  'gear-tried': { stepId: string; gear: string; result: GearResult }
  /** A closing check by hand; all others follow from the log. */
  'check-made': { checkId: string; good: boolean; note: string }
  /** What a task of the road test showed; speed, gear and revs belong to a noise that was heard. */
  'road-noted': { taskId: string; good: boolean; text: string; speedKmh?: number; gear?: string; rpm?: number }
}

export interface MadeCheck {
  good: boolean
  note: string
  at: string
  personId: string
}
export type RoadNote = Omit<ProvingEvents['road-noted'], 'taskId'> & { at: string }

/** What proves that it works. */
export interface ProvingState {
  /** Step id → gear → result. */
  gears: Record<string, Record<string, GearResult>>
  /** Closing checks made by hand. */
  checks: Record<string, MadeCheck>
  /** Task of the road test → what it showed. */
  road: Record<string, RoadNote>
}

export const notProved = (): ProvingState => ({ gears: dict(), checks: dict(), road: dict() })

export const proving: Chapter<ProvingEvents> = {
  'gear-tried': {
    words: 'Gear',
    wants: 'work',
    undo: true,
    afterHandover: false,
    afterCallOff: false,
    admit: (state, { payload }) => {
      const unknown = unknownStep(state, payload.stepId)
      if (unknown) return unknown
      const activity = byId(state.procedure!.operations, payload.stepId)?.activity
      const known = activity?.kind === 'gears' ? gearsOf(state, activity) : state.vehicle!.gears
      if (!known.includes(payload.gear))
        return refuse(
          'payload.gear',
          activity?.kind === 'gears' && activity.positions
            ? `There is no position "${payload.gear}" to be tried.`
            : `This car has no gear "${payload.gear}".`,
        )
      const [blocker] = blockersOf(state, payload.stepId)
      return blocker ? refuse('payload.stepId', `First: ${blocker.title}. ${blocker.because}`) : null
    },
    apply: (state, { payload }) => {
      ;(state.gears[payload.stepId] ??= dict())[payload.gear] = payload.result
    },
  },
  'check-made': {
    words: 'Closing check',
    wants: 'work',
    undo: true,
    afterHandover: false,
    afterCallOff: false,
    admit: (state, { payload }) => {
      const check = state.procedure?.closing.find(entry => entry.id === payload.checkId)
      if (check?.kind === 'hand') return null
      return refuse(
        'payload.checkId',
        check
          ? 'This check follows from the log; nobody ticks it.'
          : `This job has no closing check "${payload.checkId}".`,
      )
    },
    apply: (state, { payload: { checkId, ...made }, deviceTime, personId }) => {
      state.checks[checkId] = { ...made, at: deviceTime, personId }
    },
  },
  'road-noted': {
    words: 'Road test',
    wants: 'work',
    undo: true,
    afterHandover: false,
    afterCallOff: false,
    admit: (state, { payload }) => {
      if (!state.procedure?.roadTest.some(task => task.id === payload.taskId))
        return refuse('payload.taskId', `The road test has no task "${payload.taskId}".`)
      if (payload.gear !== undefined && !state.vehicle!.gears.includes(payload.gear))
        return refuse('payload.gear', `This car has no gear "${payload.gear}".`)
      return payload.good || payload.text.trim() !== '' ? null : refuse('payload.text', 'Say what was heard or felt.')
    },
    apply: (state, { payload: { taskId, ...note }, deviceTime }) => {
      state.road[taskId] = { ...note, at: deviceTime }
    },
  },
}
