import type { JobState } from '../chapters'
import type { PartOrder } from '../chapters/orders'
import { partCounts } from './option-differences'
import { partPrice } from './part-price'

/** What a supplier says of a part: its name there, what it costs, and what else comes in the box. */
export interface QuotedPart {
  name: string
  priceEach: number
  kit: { partId: string | null }[]
}

/** A part on the list of the job. */
export interface PartsLine<Quote extends QuotedPart = QuotedPart> {
  key: string
  /** `null` for a part that no step of the plan uses. */
  partId: string | null
  /** By which id the supplier knows it. */
  askFor: string
  name: string
  count: number
  because: string
  quote: Quote | null
  /** What one costs the garage; `null` where nobody priced it. */
  priceEach: number | null
  order: PartOrder | null
  /** When it is there; `null` where it is here or nobody said that it is not. */
  dueAt: string | null
  /** All steps that use it are done. */
  used: boolean
  /** The kit on this list that it comes in, so that it is not bought twice. */
  inKit: string | null
}

/** The parts list of a job: what its steps use, what was decided to be renewed, what was added on the way; with prices and orders. */
export function partsList<Quote extends QuotedPart>(
  state: JobState,
  quotes: ReadonlyMap<string, Quote> = new Map(),
): PartsLine<Quote>[] {
  const { procedure, done, circumstances, renewals, orders, addedParts } = state
  if (!procedure) return []
  const counts = partCounts(procedure)
  const line = (
    own: Pick<PartsLine, 'key' | 'partId' | 'askFor' | 'name' | 'count' | 'because' | 'used'>,
  ): PartsLine<Quote> => {
    const quote = quotes.get(own.askFor) ?? null
    const order =
      orders.findLast(
        entry => entry.partId === own.askFor || (entry.partId === null && entry.name === (quote?.name ?? own.name)),
      ) ?? null
    const arrival = circumstances.arrivals.find(entry => entry.partId === own.partId)?.at ?? null
    const priceEach = order?.priceEach ?? partPrice(state, own.askFor, () => quote?.priceEach ?? null)
    return { ...own, quote, order, priceEach, dueAt: order && !order.cameAt ? order.arrivesAt : arrival, inKit: null }
  }
  const planned = procedure.parts.map(({ id, name }) => {
    const users = procedure.operations.filter(operation => id in operation.parts)
    const used = users.length > 0 && users.every(operation => done[operation.id])
    return line({ key: id, partId: id, askFor: id, name, count: counts[id] ?? 0, because: users[0]?.title ?? '', used })
  })
  const renewed = procedure.bench.reachable
    .filter(part => renewals[part.id]?.decision === 'renew' && !procedure.parts.some(entry => entry.id === part.part))
    .map(part =>
      line({
        key: `renew-${part.id}`,
        partId: null,
        askFor: part.part,
        name: part.name,
        count: 1,
        because: renewals[part.id]!.because,
        used: false,
      }),
    )
  const added = addedParts.map((part, index) =>
    line({
      key: `added-${index}`,
      partId: null,
      askFor: `added-${index}`,
      name: part.name,
      count: 1,
      because: part.because,
      used: false,
    }),
  )
  const all = [...planned, ...renewed, ...added]
  return all.map(entry => withinKit(entry, all))
}

/** A part that comes in the box of another costs nothing more and is here with it. */
function withinKit<Quote extends QuotedPart>(line: PartsLine<Quote>, all: PartsLine<Quote>[]): PartsLine<Quote> {
  if (line.order) return line
  const kit = all.find(
    other =>
      other.key !== line.key &&
      (other.order?.covers?.includes(line.askFor) ?? other.quote?.kit.some(part => part.partId === line.askFor)),
  )
  return kit ? { ...line, inKit: kit.name, order: kit.order, priceEach: 0 } : line
}
