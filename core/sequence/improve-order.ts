import { advance, startMoment } from './clock'
import type { Moment } from './clock'
import type { Network } from './network'

/** The longest run of steps that is moved as one piece. */
const LONGEST_PIECE = 8

/** An order with the clock at each place in it, so that a changed tail can be timed without the head. */
interface Timed { order: number[], moments: Moment[], finish: Float64Array, minutes: number }

/**
 * Shortens an order by moving pieces of it to other legal positions until no move helps
 * or the budget of tried moves is spent. The budget counts moves, not time, so that the result
 * is the same on every machine.
 */
export function improveOrder(network: Network, start: number[], budget: number): number[] {
  let current = timed(network, start)
  let tried = 0
  for (let improved = true; improved && tried < budget;) {
    improved = false
    for (let length = 1; length <= LONGEST_PIECE; length++) {
      for (let from = 0; from + length <= current.order.length && tried < budget; from++) {
        const [lowest, highest] = legalRange(network, current.order, from, length)
        let best: number[] | null = null
        let bestMinutes = current.minutes - 1e-6
        for (let to = lowest; to <= highest; to++) {
          if (to === from) continue
          const candidate = movePiece(current.order, from, length, to)
          tried++
          const minutes = durationFrom(network, current, candidate, Math.min(from, to))
          if (minutes < bestMinutes) {
            best = candidate
            bestMinutes = minutes
          }
        }
        if (best) {
          current = timed(network, best)
          improved = true
        }
      }
    }
  }
  return current.order
}

function timed(network: Network, order: number[]): Timed {
  const finish = new Float64Array(network.operations.length)
  const moment = startMoment(network)
  const moments = order.map((step) => {
    const before = { ...moment }
    advance(network, finish, moment, step)
    return before
  })
  return { order, moments, finish, minutes: moment.minutes }
}

function durationFrom(network: Network, base: Timed, candidate: number[], position: number): number {
  const finish = base.finish.slice()
  const moment = { ...base.moments[position]! }
  for (let index = position; index < candidate.length; index++) advance(network, finish, moment, candidate[index]!)
  return moment.minutes
}

/** First and last position at which the piece may start without breaking a link. */
function legalRange(network: Network, order: number[], from: number, length: number): [number, number] {
  const earlier = new Set<number>()
  const later = new Set<number>()
  for (let index = from; index < from + length; index++) {
    for (const link of network.before[order[index]!]!) earlier.add(link.from)
    for (const next of network.after[order[index]!]!) later.add(next)
  }
  let lowest = from
  while (lowest > 0 && !earlier.has(order[lowest - 1]!)) lowest--
  let highest = from
  while (highest + length < order.length && !later.has(order[highest + length]!)) highest++
  return [lowest, highest]
}

function movePiece(order: number[], from: number, length: number, to: number): number[] {
  const moved = order.slice()
  const piece = moved.splice(from, length)
  moved.splice(to, 0, ...piece)
  return moved
}
