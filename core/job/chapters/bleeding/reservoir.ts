import { strokeMl, strokesToLow } from '../../../hydraulics/strokes-to-low'
import type { Chapter, JobState } from '../../chapters'
import { refuse } from '../../log/chapter'
import type { Refusal } from '../../log/chapter'
import { reservoirStand } from '../../views/reservoir'
import { asRefusal } from '../as-refusal'

/** What is known of reservoir and line while a line is bled, and what was poured in. */
export interface ReservoirEvents {
  'reservoir-set': {
    stepId: string
    reservoirMl: number
    lowMl: number
    fullMl?: number
    masterBoreMm: number
    strokeMm: number
    lineMl: number
    deliveredShare: number
  }
  'reservoir-topped': { stepId: string; ml: number }
  /** Drawn off to make room, in ml. */
  'reservoir-drawn': { stepId: string; ml: number }
}

/** A reservoir as it was set, and what has come in and gone out since, in ml. */
export interface ReservoirRecord {
  reservoirMl: number
  lowMl: number
  fullMl: number | null
  masterBoreMm: number
  strokeMm: number
  lineMl: number
  /** What a whole stroke moves. */
  eachMl: number
  addedMl: number
  sentMl: number
  pushedMl: number
  strokes: number
  /** When more had run out than stood in it. */
  ranDry: string | null
}

export const reservoir: Chapter<ReservoirEvents> = {
  'reservoir-set': {
    words: 'Reservoir',
    wants: 'work',
    undo: true,
    afterHandover: false,
    afterCallOff: false,
    admit: (state, { payload }) => {
      if (!state.bleeding[payload.stepId]) return refuse('payload.stepId', 'Bleeding has not been opened on this step.')
      const wrong = asRefusal(() => strokesToLow(payload))
      if (wrong) return wrong
      if (payload.fullMl !== undefined && payload.fullMl < payload.reservoirMl)
        return refuse('payload.fullMl', 'More stands in it than up to its full mark.')
      return payload.lineMl > 0 ? null : refuse('payload.lineMl', 'A line holds something.')
    },
    apply: (state, { payload: { stepId, deliveredShare: _share, fullMl, ...known } }) => {
      const eachMl = strokeMl({ ...known, deliveredShare: 1 })
      state.reservoirs[stepId] = {
        ...known,
        fullMl: fullMl ?? null,
        eachMl,
        addedMl: 0,
        sentMl: 0,
        pushedMl: 0,
        strokes: 0,
        ranDry: null,
      }
    },
  },
  'reservoir-topped': {
    words: 'Fluid poured in',
    wants: 'help',
    undo: true,
    afterHandover: false,
    afterCallOff: false,
    admit: (state, { payload }) => unknownReservoir(state, payload.stepId),
    apply: (state, { payload }) => {
      const record = state.reservoirs[payload.stepId]
      if (record) record.addedMl += payload.ml
    },
  },
  'reservoir-drawn': {
    words: 'Fluid drawn off',
    wants: 'help',
    undo: true,
    afterHandover: false,
    afterCallOff: false,
    admit: (state, { payload }) =>
      unknownReservoir(state, payload.stepId) ??
      (payload.ml > reservoirStand(state.reservoirs[payload.stepId])!.leftMl
        ? refuse('payload.ml', 'More than stands in it.')
        : null),
    apply: (state, { payload }) => {
      const record = state.reservoirs[payload.stepId]
      if (record) record.reservoirMl -= payload.ml
    },
  },
}

function unknownReservoir(state: JobState, stepId: string): Refusal | null {
  return state.reservoirs[stepId] ? null : refuse('payload.stepId', 'Nothing is known of this reservoir yet.')
}
