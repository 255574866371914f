import type { JobCosts } from '../../job/views/costs'
import type { Rates } from '../../job/views/rates'
import type { PaperSection } from '../../job/chapters/money/paper-doc'
import type { PaperContext } from './context'

/** Every part with what it costs the customer. */
export function partsSection(parts: JobCosts['parts'], { text, money }: PaperContext): PaperSection {
  const rows = parts.map(part => [
    text(part.name),
    String(part.count),
    part.each === null ? 'not priced' : money(part.each),
    part.total === null ? '' : money(part.total),
  ])
  return { title: 'Parts', table: { head: ['', 'Count', 'Each', 'Price'], right: [1, 2, 3], rows } }
}

/** What it comes to, line by line. */
export function totals(
  { labour, partsTotal, callOut, tax, total }: JobCosts,
  { text, money }: PaperContext,
  { taxPercent }: Rates,
): string[][] {
  return [
    [text('{Labor}'), money(labour)],
    ['Parts', money(partsTotal)],
    ...(callOut > 0 ? [['Call-out', money(callOut)]] : []),
    ...(taxPercent > 0 ? [[`Tax, ${taxPercent} in 100`, money(tax)]] : []),
    ['In all', money(total)],
  ]
}
