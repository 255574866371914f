import type { Instance } from './instance'
import { seededRandom } from '../base/random'
import { TimedOrder } from './timed-order'

/** The longest run of steps that is moved as one piece. */
const LONGEST_PIECE = 14
/** How many steps of an order are shaken loose when no move helps any more. */
const SHAKES = 4

export interface Improvement {
  /** Moves to try; counted, not timed, so that every machine finds the same order. */
  budget: number
  seed: number
  /** Told now and then how many moves were tried, and the minutes of the best order so far. */
  onProgress?: (tried: number, minutes: number) => void
  /** Stop as soon as the order is as short as this. */
  goal?: number
}

/**
 * Shortens an order by moving pieces of it to other legal positions; when no move helps, a few steps are shaken
 * loose and the search goes on from there, going back to the best order when that leads nowhere.
 * @returns an order that respects every link if `start` does, never longer than `start`
 */
export function improveOrder(
  instance: Instance,
  start: ArrayLike<number>,
  { budget, seed, onProgress, goal = -Infinity }: Improvement,
): Int32Array {
  const random = seededRandom(seed)
  const current = new TimedOrder(instance, Int32Array.from(start))
  let best = current.order.slice()
  let bestMinutes = current.minutes
  const count = instance.count
  if (count < 2) return best
  /** The order with one piece of it moved, and the order itself between two moves. */
  const candidate = current.order.slice()
  const links = linkTable(instance)
  const rest = restOfWork(instance)
  let tried = 0

  const descend = () => {
    for (let improved = true; improved && tried < budget;) {
      improved = false
      for (let length = 1; length <= Math.min(LONGEST_PIECE, count - 1); length++) {
        for (let from = 0; from + length <= count && tried < budget; from++) {
          if (!mayCut(instance, current.order, from) || !mayCut(instance, current.order, from + length)) continue
          const [lowest, highest] = legalRange(links, current.order, from, length)
          let target = -1
          let targetMinutes = current.minutes - 1e-6
          for (let to = lowest; to <= highest; to++) {
            if (to === from || !mayCut(instance, current.order, to < from ? to : to + length)) continue
            movePiece(current.order, candidate, from, length, to)
            tried++
            const [start, end] = [Math.min(from, to), Math.max(from, to) + length]
            const minutes = current.minutesOf(candidate, start, end, targetMinutes)
            putBack(current.order, candidate, start, end)
            if (minutes < targetMinutes) {
              target = to
              targetMinutes = minutes
            }
          }
          if (target >= 0) {
            movePiece(current.order, candidate, from, length, target)
            current.take(candidate, Math.min(from, target))
            improved = true
          }
        }
      }
    }
  }

  descend()
  for (let fruitless = 0; tried < budget; fruitless++) {
    if (current.minutes < bestMinutes - 1e-6) {
      bestMinutes = current.minutes
      best = current.order.slice()
      fruitless = 0
    }
    onProgress?.(Math.min(tried, budget), bestMinutes)
    if (bestMinutes <= goal + 1e-6) return best
    if (current.minutes > bestMinutes + rest * 0.02 || fruitless > 12) {
      current.take(best, 0)
      candidate.set(best)
      fruitless = 0
    }
    tried += shake(instance, links, current, candidate, random)
    descend()
  }
  if (current.minutes < bestMinutes - 1e-6) best = current.order.slice()
  onProgress?.(budget, Math.min(bestMinutes, current.minutes))
  return best
}

/** How much of the whole is not work, at a guess: the measure for how far a shaken order may stray. */
function restOfWork(instance: Instance): number {
  return instance.count * (instance.walkMinutes + instance.toolMinutes)
}

function shake(
  instance: Instance,
  links: LinkTable,
  current: TimedOrder,
  candidate: Int32Array,
  random: () => number,
): number {
  const count = instance.count
  let tried = 1
  for (let times = 0; times < SHAKES; times++) {
    const length = 1 + Math.floor(random() * Math.min(6, count - 1))
    const from = Math.floor(random() * (count - length + 1))
    tried++
    if (!mayCut(instance, current.order, from) || !mayCut(instance, current.order, from + length)) continue
    const [lowest, highest] = legalRange(links, current.order, from, length)
    const to = lowest + Math.floor(random() * (highest - lowest + 1))
    if (to === from || !mayCut(instance, current.order, to < from ? to : to + length)) continue
    movePiece(current.order, candidate, from, length, to)
    current.take(candidate, Math.min(from, to))
  }
  return tried
}

/** Whether the order may be cut before `position`: not between two steps that stand directly together. */
function mayCut(instance: Instance, order: Int32Array, position: number): boolean {
  return position >= order.length || instance.directlyAfter[order[position]!] === -1
}

/** Row by row which step must come directly before which: 1 where it must. */
interface LinkTable {
  count: number
  links: Uint8Array
}

function linkTable({ count, before }: Instance): LinkTable {
  const links = new Uint8Array(count * count)
  for (let step = 0; step < count; step++) for (const earlier of before[step]!) links[earlier * count + step] = 1
  return { count, links }
}

/** First and last position at which the piece may start without breaking a link. */
function legalRange(table: LinkTable, order: Int32Array, from: number, length: number): [number, number] {
  let lowest = from
  while (lowest > 0 && !linked(table, order[lowest - 1]!, order, from, length)) lowest--
  let highest = from
  while (highest + length < order.length && !follows(table, order[highest + length]!, order, from, length)) highest++
  return [lowest, highest]
}

function linked({ count, links }: LinkTable, step: number, order: Int32Array, from: number, length: number): boolean {
  for (let at = from; at < from + length; at++) if (links[step * count + order[at]!] === 1) return true
  return false
}

function follows({ count, links }: LinkTable, step: number, order: Int32Array, from: number, length: number): boolean {
  for (let at = from; at < from + length; at++) if (links[order[at]! * count + step] === 1) return true
  return false
}

/** Writes `order` into `moved`, which is the same, with the piece at `from` starting at `to`. */
function movePiece(order: Int32Array, moved: Int32Array, from: number, length: number, to: number): void {
  for (let at = 0; at < length; at++) moved[to + at] = order[from + at]!
  if (to < from) for (let at = to; at < from; at++) moved[at + length] = order[at]!
  else for (let at = from; at < to; at++) moved[at] = order[at + length]!
}

function putBack(order: Int32Array, moved: Int32Array, start: number, end: number): void {
  for (let at = start; at < end; at++) moved[at] = order[at]!
}
