import type { SheetValues } from '../bench/values'

export type RenewDecision = 'renew' | 'leave'

/** What each event of the bench carries. */
export interface BenchPayloads {
  /** Fields of a sheet as they were entered; fields not named stay as they were, those in `cleared` are emptied. */
  'sheet-read': { sheetId: string, values: SheetValues, cleared: string[] }
  /** Which way a part lay when it came off. */
  'orientation-noted': { partId: string, side: string, mark: string, photo: string | null }
  /** It goes back the same way. */
  'orientation-confirmed': { partId: string }
  /** An old part leaves the shelf. */
  'old-part-gone': { partId: string, where: string }
  /** What is put into the question whether a part is renewed while it is open; `null` leaves what Eldrin found. */
  'renewal-weighed': { partId: string, partCost: number | null, minutesNow: number | null, minutesLater: number | null, chance: number, comebackCost: number }
  'renewal-decided': { decisions: { partId: string, decision: RenewDecision }[], because: string }
  /** Machine, keep or buy: what was chosen, and what lay side by side. */
  'way-chosen': { option: string, choice: string, because: string, ways: { id: string, money: number, finishMinutes: number, chance: number, closed: string | null }[] }
  /** When the customer was told it would be done; `null` takes that back. */
  'promised': { at: string | null }
  /** `covers` are other parts of the job that come in the same box. */
  'part-ordered': { orderId: string, partId: string | null, name: string, count: number, priceEach: number | null, supplier: string, orderNo: string | null, arrivesAt: string, covers?: string[] }
  'part-moved': { orderId: string, arrivesAt: string, because: string }
  'part-came': { orderId: string }
}
export type BenchEventType = keyof BenchPayloads
