import type { JobState } from '../chapters'
import type { Rates } from './rates'

/** What a supplier asks for one of a part; `null` where it was not asked or has none. */
export type PriceOf = (partId: string) => number | null

/**
 * What one of a part costs the garage: what was paid for it, nothing where it came in a kit, what somebody put in, what is quoted.
 * @returns `null` where nobody priced it
 */
export function partPrice(state: JobState, partId: string, quoted: PriceOf = () => null): number | null {
  const reachable = state.procedure?.bench.reachable.find(part => part.part === partId)
  const name = state.procedure?.parts.find(part => part.id === partId)?.name ?? reachable?.name
  const paid = state.orders.findLast(
    order => order.partId === partId || (order.partId === null && order.name === name),
  )?.priceEach
  if (paid !== undefined && paid !== null) return paid
  if (state.orders.some(order => order.covers?.includes(partId))) return 0
  return state.renewals[reachable?.id ?? '']?.weighed?.partCost ?? quoted(partId)
}

/** What a part costs the customer. */
export const withMargin = (cost: number, { partsMarginPercent }: Pick<Rates, 'partsMarginPercent'>): number =>
  cost * (1 + partsMarginPercent / 100)
