import { FieldError } from '../fasteners/field-error'
import { strokeMl, strokesToLow } from '../hydraulics/strokes-to-low'
import type { JobEvent } from './events'
import { refuse } from './refusal'
import type { Judges, Refusal } from './refusal'
import type { JobState, ReservoirRecord } from './state'

/** What is known of reservoir and line while a line is bled, and what was poured in. */
export interface ReservoirPayloads {
  'reservoir-set': { stepId: string, reservoirMl: number, lowMl: number, masterBoreMm: number, strokeMm: number, lineMl: number, deliveredShare: number }
  'reservoir-topped': { stepId: string, ml: number }
}

export interface ReservoirStand {
  /** What stands in it now, in ml, and how many strokes it has until its low mark. */
  leftMl: number
  strokesLeft: number
  /** Sent out of the line since it was set, as a share of what the line holds: at 1 the old fluid is gone. */
  throughShare: number
  sentMl: number
  /** Poured in after it was set. */
  addedMl: number
}

/** So many strokes before the low mark it is time to pour. Common practice, no source. */
export const WARN_STROKES = 5

/** Where the reservoir stands; `null` where nothing was said of it. */
export function reservoirStand(record: ReservoirRecord | undefined): ReservoirStand | null {
  if (!record) return null
  const sentMl = record.strokes * strokeMl(record)
  const leftMl = record.reservoirMl + record.addedMl - sentMl
  return { leftMl, sentMl, addedMl: record.addedMl, throughShare: sentMl / record.lineMl, strokesLeft: leftMl < record.lowMl ? 0 : strokesToLow({ ...record, reservoirMl: leftMl }) }
}

/** Why a stroke may not be counted: the next one would draw air into the line, and into the brakes. */
export function reservoirLow(state: JobState, stepId: string): Refusal | null {
  const stand = reservoirStand(state.reservoirs[stepId])
  return stand && stand.strokesLeft < 1 ? refuse('payload.stepId', 'The reservoir stands at its low mark. Pour fresh fluid in before the next stroke, and say how much.') : null
}

export const reservoirAppliers = {
  'reservoir-set': (state: JobState, { payload: { stepId, ...known } }: JobEvent<'reservoir-set'>) => {
    state.reservoirs[stepId] = { ...known, addedMl: 0, strokes: 0 }
  },
  'reservoir-topped': (state: JobState, { payload }: JobEvent<'reservoir-topped'>) => {
    const record = state.reservoirs[payload.stepId]
    if (record) record.addedMl += payload.ml
  },
}

export const reservoirJudges: Pick<Judges, 'reservoir-set' | 'reservoir-topped'> = {
  'reservoir-set': (state, { payload }) => {
    if (!state.bleeding[payload.stepId]) return refuse('payload.stepId', 'Bleeding has not been opened on this step.')
    try {
      strokesToLow(payload)
      return payload.lineMl > 0 ? null : refuse('payload.lineMl', 'A line holds something.')
    }
    catch (error) {
      if (error instanceof FieldError) return refuse(`payload.${error.path}`, error.reason)
      throw error
    }
  },
  'reservoir-topped': (state, { payload }) => state.reservoirs[payload.stepId] ? null : refuse('payload.stepId', 'Nothing is known of this reservoir yet.'),
}
