import { bestOrder } from './best-order'
import type { Effort } from './best-order'
import { advance, startMoment } from './clock'
import { buildInstance } from './instance'
import type { Height } from './instance'

/** One piece of work: where, for how many minutes, at which height of the car, with which tools. */
export interface SolveStep {
  id: string
  minutes: number
  place: string
  car: Height | 'either'
  tools: string[]
}

/** `after` starts no sooner than `waitMinutes` after `before` is finished. */
export interface SolveLink {
  before: string
  after: string
  waitMinutes?: number
}

export interface SolveProblem {
  steps: SolveStep[]
  links: SolveLink[]
  /** Minutes to walk to another place, to bring the car up or down, to fetch one tool. */
  setup: {
    walkMinutes: number
    raiseMinutes: number
    toolMinutes: number
    /** So many tools, those used last, stay at hand within a stay; left out, only those of the step before do. */
    trayTools?: number
  }
  start: { place: string; car: Height }
}

export interface Solution {
  /** Step ids in the order to be done. */
  order: string[]
  /** For each step of `order`, in the same place, the minute at which its work starts. */
  startMinutes: number[]
  /** The minute at which the last step is finished. */
  minutes: number
  /** No order is done sooner than this. */
  lowerBoundMinutes: number
  /** Whether no order is shorter: `minutes` and `lowerBoundMinutes` are then the same. */
  proven: boolean
}

/**
 * Finds the order in which one mechanic, doing one step at a time, is done soonest.
 *
 * Going from one step to the next costs `walkMinutes` if the place differs, `raiseMinutes` if the step needs the car at the
 * other height than it is at (`either` leaves it as it is), and `toolMinutes` for each tool of the next step that the step
 * before did not use; from the start no tool is at hand. With `trayTools` as many of the tools used last within the stay are at
 * hand as well, never fewer than those of the step before (of one step the tool named last
 * is the one used last); who walks takes along only the latter. That set-up begins when the step before is finished. A step starts
 * when its set-up is done and every link's `before` has been finished for its wait.
 *
 * Exact for small jobs; for large ones the best order that the effort finds, with a valid lower bound. The same problem,
 * seed and effort give the same answer on every machine.
 * @param effort how hard to search, counted in moves and partial plans, not in seconds
 * @returns all times in minutes from the start; an empty problem gives an empty order of 0 minutes, proven
 * @throws CycleError when the links form a cycle; its `cycle` holds the ids
 * @throws RangeError on an unknown or repeated id and on a time that is not a number from 0 up, with its path
 */
export function solve(problem: SolveProblem, effort: Effort = {}): Solution {
  const { steps, links, setup, start } = problem
  const instance = buildInstance({ steps, links, start, setup: { ...setup, lowerMinutes: setup.raiseMinutes } })
  if (instance.count === 0) return { order: [], startMinutes: [], minutes: 0, lowerBoundMinutes: 0, proven: true }
  const best = bestOrder(instance, [], effort)
  const finish = new Float64Array(instance.count)
  const moment = startMoment(instance)
  for (const step of best.order) advance(instance, finish, moment, step)
  return {
    order: Array.from(best.order, step => instance.ids[step]!),
    startMinutes: Array.from(best.order, step => finish[step]! - instance.minutes[step]!),
    minutes: moment.minutes,
    lowerBoundMinutes: best.proven ? moment.minutes : best.lowerBoundMinutes,
    proven: best.proven,
  }
}
