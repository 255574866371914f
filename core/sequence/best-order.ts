import { lowerBound } from './bounds/lower-bound'
import { durationOf } from './clock'
import { exactOrder, LARGEST_EXACT } from './exact-order'
import { greedyOrder } from './greedy-order'
import { improveOrder } from './improve-order'
import type { Instance } from './instance'
import { tripOrder } from './trip-order'

/** How hard to search. Everything is counted, nothing is timed, so that the same input gives the same answer. */
export interface Effort {
  seed?: number
  /** Moves tried in all. */
  moves?: number
  /** Partial plans looked at by the exact search. */
  partialPlans?: number
  /** Sets of steps looked at for the bound on walking. */
  boundSets?: number
  /** Told of the share of the search that is done, and of the minutes of the best order so far. */
  onProgress?: (share: number, minutes: number) => void
}

export interface BestOrder {
  order: Int32Array
  minutes: number
  lowerBoundMinutes: number
  proven: boolean
}

const DEFAULTS = { seed: 1, moves: 60_000, partialPlans: 900_000, boundSets: 4000 }

/** Whether an instance holds nothing but what the exact search knows of. */
function isPlain(instance: Instance): boolean {
  return instance.calendar === null && instance.notBefore === null && instance.startMinutes === 0
    && instance.directlyAfter.every(leader => leader < 0)
    && instance.minutes.every((minutes, step) => minutes === instance.aloneMinutes[step])
    && (instance.washMinutes === 0 || !instance.hands.some(hands => hands !== 0))
}

/**
 * The best order that the effort allows: greedy and stay by stay to begin with, the shortest of them improved by moves,
 * small jobs then searched to the end.
 * @param others more orders to begin with, each respecting every link
 */
export function bestOrder(instance: Instance, others: ArrayLike<number>[] = [], effort: Effort = {}): BestOrder {
  const { seed, moves, partialPlans, boundSets } = { ...DEFAULTS, ...effort }
  const bound = lowerBound(instance, boundSets)
  const starts = [greedyOrder(instance), ...others.map(order => Int32Array.from(order)), ...(bound.stays ? [tripOrder(instance, bound.stays)] : [])]
  const exact = isPlain(instance) && instance.count <= LARGEST_EXACT
  const share = (exact ? Math.min(moves, 6000) : moves) / (starts.length + 2)
  const improved = starts.map((start, index) => improveOrder(instance, start, {
    budget: share, seed: seed + index, goal: bound.minutes,
    onProgress: (tried, minutes) => effort.onProgress?.((index * share + tried) / (share * (starts.length + 2)), minutes),
  }))
  const best = shortest(instance, improved)
  const order = improveOrder(instance, best, {
    budget: share * 2, seed: seed + starts.length, goal: bound.minutes,
    onProgress: (tried, minutes) => effort.onProgress?.((starts.length * share + tried) / (share * (starts.length + 2)), minutes),
  })
  const minutes = durationOf(instance, order)
  if (minutes <= bound.minutes + 1e-6) return { order, minutes, lowerBoundMinutes: minutes, proven: true }
  if (!exact) return { order, minutes, lowerBoundMinutes: bound.minutes, proven: false }
  const found = exactOrder(instance, minutes, partialPlans)
  return {
    order: found.order ?? order, minutes: found.minutes, proven: found.proven,
    lowerBoundMinutes: Math.max(bound.minutes, found.lowerBoundMinutes),
  }
}

function shortest(instance: Instance, orders: Int32Array[]): Int32Array {
  const durations = orders.map(order => durationOf(instance, order))
  return orders[durations.indexOf(Math.min(...durations))]!
}
