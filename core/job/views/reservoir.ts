import { strokesToLow } from '../../hydraulics/strokes-to-low'
import type { JobState } from '../chapters'
import type { ReservoirRecord } from '../chapters/bleeding/reservoir'
import { wayNow } from '../chapters/bleeding/ways'
import { refuse } from '../log/chapter'
import type { Refusal } from '../log/chapter'

export interface ReservoirStand {
  /** What stands in it now, in ml. */
  leftMl: number
  /** Sent through the line since it was set, either way, as a share of what the line holds: at 1 the old fluid is gone. */
  throughShare: number
  sentMl: number
  pushedMl: number
  /** Poured in after it was set. */
  addedMl: number
  /** Room to its full mark, where that is known. */
  roomMl: number | null
  ranDry: string | null
}

/** So many counts before a mark it is time to act. Common practice, no source. */
export const WARN_COUNTS = 5

/** Where the reservoir stands; `null` where nothing was said of it. */
export function reservoirStand(record: ReservoirRecord | undefined): ReservoirStand | null {
  if (!record) return null
  const { sentMl, pushedMl, addedMl } = record
  const leftMl = Math.max(0, record.reservoirMl + addedMl + pushedMl - sentMl)
  return {
    leftMl,
    sentMl,
    pushedMl,
    addedMl,
    throughShare: (sentMl + pushedMl) / record.lineMl,
    roomMl: record.fullMl === null ? null : Math.max(0, record.fullMl - leftMl),
    ranDry: record.ranDry,
  }
}

/** Counts of a way until the reservoir stands at the mark that this way comes near: low, or full where fluid is pushed up. */
export function countsToMark(
  record: ReservoirRecord,
  { strokeShare, portionMl, counts }: { strokeShare: number; portionMl: number; counts: string },
): number {
  const { leftMl, roomMl } = reservoirStand(record)!
  if (counts === 'strokes')
    return leftMl < record.lowMl ? 0 : strokesToLow({ ...record, reservoirMl: leftMl, deliveredShare: strokeShare })
  if (portionMl < 0) return roomMl === null ? Infinity : Math.floor(roomMl / -portionMl + 1e-9)
  return portionMl === 0 ? Infinity : Math.max(0, Math.floor((leftMl - record.lowMl) / portionMl + 1e-9))
}

/**
 * Why a count may not be made: the next one would draw air into the line, and into the brakes, or push the reservoir over.
 * @param ml what a portion moves; a stroke where it is left out
 */
export function reservoirLow(state: JobState, stepId: string, ml?: number): Refusal | null {
  const record = state.reservoirs[stepId]
  const way = wayNow(state, stepId)
  if (!record || !way) return null
  if (countsToMark(record, ml === undefined ? way : { strokeShare: 0, portionMl: ml, counts: 'portions' }) >= 1)
    return null
  return ml !== undefined && ml < 0
    ? refuse(
        'payload.ml',
        'The reservoir stands at its full mark. Draw some off before the next push, and say how much.',
      )
    : refuse(
        'payload.stepId',
        'The reservoir stands at its low mark. Pour fresh fluid in before the next one, and say how much.',
      )
}
