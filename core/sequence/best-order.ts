import { lowerBound } from './bounds/lower-bound'
import { durationOf } from './clock'
import { greedyOrder } from './greedy-order'
import { improveOrder } from './improve-order'
import type { Instance } from './instance'
import { proveOrder } from './proof/prove-order'
import { tripOrder } from './trip-order'

/** How hard to search. Everything is counted, nothing is timed, so that the same input gives the same answer. */
export interface Effort {
  seed?: number
  /** Moves tried in all. */
  moves?: number
  /** Labels looked at by the exact search of a small job. */
  labels?: number
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

/** How many moves a search tries where nobody says otherwise. */
export const USUAL_MOVES = 34_000
const DEFAULTS = { seed: 1, moves: USUAL_MOVES, labels: 400_000, boundSets: 4000 }

/** Jobs of so many steps are searched to the end at once. */
const SEARCHED_WHOLE = 34
/** How many times prices are moved for it. */
const ROUNDS = 400

/** Moves of the search that still heeds working hours and the helper's, against one of the search without. */
const SLOW_SHARE = 1 / 20
/** And of the search that looks what lies on the tray. */
const TRAY_SHARE = 1 / 30

/**
 * The best order that the effort allows: greedy and stay by stay to begin with, the shortest of them improved by moves,
 * small jobs then searched to the end. Working hours, a helper's window and the tray are left aside at first and heeded at the end.
 * @param others more orders to begin with, each respecting every link
 */
export function bestOrder(instance: Instance, others: ArrayLike<number>[] = [], effort: Effort = {}): BestOrder {
  const { seed, moves, labels, boundSets } = { ...DEFAULTS, ...effort }
  const bound = lowerBound(instance, boundSets)
  const straight: Instance = {
    ...instance,
    calendar: null,
    helperFrom: Infinity,
    helperTo: -Infinity,
    trayTools: 0,
  }
  const starts = [
    greedyOrder(straight),
    ...others.map(order => Int32Array.from(order)),
    ...(bound.stays ? [tripOrder(straight, bound.stays)] : []),
  ]
  const exact = instance.calendar === null && instance.count <= SEARCHED_WHOLE
  const budget = exact ? Math.min(moves, 6000) : moves
  // Each start gets a share, the best of them two more.
  const share = budget / (starts.length + 2)
  const improve = (start: ArrayLike<number>, index: number, shares: number) =>
    improveOrder(straight, start, {
      budget: share * shares,
      seed: seed + index,
      goal: bound.minutes,
      onProgress: (tried, minutes) => effort.onProgress?.((index * share + tried) / budget, minutes),
    })
  let order = improve(
    shortest(
      straight,
      starts.map((start, index) => improve(start, index, 1)),
    ),
    starts.length,
    2,
  )
  if (instance.trayTools > 0)
    order = improveOrder({ ...straight, trayTools: instance.trayTools }, order, {
      budget: moves * TRAY_SHARE,
      seed,
      goal: bound.minutes,
    })
  if (instance.calendar !== null || instance.helperFrom < Infinity)
    order = improveOrder(instance, order, { budget: moves * SLOW_SHARE, seed, goal: bound.minutes })
  const minutes = durationOf(instance, order)
  if (minutes <= bound.minutes + 1e-6) return { order, minutes, lowerBoundMinutes: minutes, proven: true }
  if (!exact) return { order, minutes, lowerBoundMinutes: bound.minutes, proven: false }
  const proof = proveOrder(instance, order, bound.minutes, { labels, rounds: ROUNDS })
  const reached = proof.order ? durationOf(instance, proof.order) : minutes
  return {
    order: proof.order ?? order,
    minutes: reached,
    proven: reached <= proof.lowerBoundMinutes + 1e-6,
    lowerBoundMinutes: proof.lowerBoundMinutes,
  }
}

function shortest(instance: Instance, orders: Int32Array[]): Int32Array {
  const durations = orders.map(order => durationOf(instance, order))
  return orders[durations.indexOf(Math.min(...durations))]!
}
