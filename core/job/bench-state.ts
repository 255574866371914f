import { dict } from '../base/dict'
import type { SheetValues } from '../bench/values'
import type { BenchPayloads, RenewDecision } from './bench-events'

export interface SheetRecord { values: SheetValues, at: string, personId: string }

export interface OrientationRecord { side: string, mark: string, photo: string | null, at: string, confirmedAt: string | null }

/** What is put into the question of one part, and what was decided. */
export interface Renewal { weighed: Omit<BenchPayloads['renewal-weighed'], 'partId'> | null, decision: RenewDecision | null, because: string, at: string }

/** A part on order. */
export type PartOrder = BenchPayloads['part-ordered'] & {
  personId: string
  orderedAt: string
  /** Why its day moved, newest last. */
  moves: { from: string, to: string, because: string, at: string }[]
  cameAt: string | null
}

/** What the bench knows of a job. */
export interface BenchState {
  /** Sheet id → what stands in it. */
  sheets: Record<string, SheetRecord>
  orientations: Record<string, OrientationRecord>
  /** Old part id → where it went. */
  oldPartsGone: Record<string, { where: string, at: string }>
  renewals: Record<string, Renewal>
  ways: (BenchPayloads['way-chosen'] & { at: string })[]
  /** ISO 8601. */
  promisedAt: string | null
  orders: PartOrder[]
}

export const emptyBench = (): BenchState => ({ sheets: dict(), orientations: dict(), oldPartsGone: dict(), renewals: dict(), ways: [], promisedAt: null, orders: [] })
