import type { Instance } from '../instance'
import { toolsToFetch } from '../instance'
import { ancestorsOf, has } from '../step-set'
import type { StepSet } from '../step-set'
import { mayFollow, successionBound } from './succession'
import { tripBound } from './trip-bound'
import type { Stay } from './trip-bound'
import { withoutTray } from './without-tray'

export interface LowerBound {
  /** No order is done sooner than this. */
  minutes: number
  /** The stays of a plan with the fewest minutes of walking and lifting, to start from. */
  stays: Stay[] | null
}

/**
 * Minutes below which no order can come, whatever the search finds; working minutes where there is closing time.
 *
 * Work, plus the least walking and lifting, plus the least fetching of tools; or the least set-up of all kinds as one
 * assignment; or the longest wait with all that must come before it and after it.
 * @param budget sets of steps looked at for the walking bound
 */
export function lowerBound(given: Instance, budget: number): LowerBound {
  const { bare: instance, fetchMinutes } = withoutTray(given)
  if (instance.count === 0) return { minutes: instance.startMinutes, stays: [] }
  const work = leastWork(instance)
  const trips = tripBound(instance, budget)
  const follows = mayFollow(instance)
  const tools = successionBound(instance, follows, (a, b) => toolsToFetch(instance, a, b) * instance.toolMinutes).total
  const { count, readyMinutes } = instance
  const joint = successionBound(instance, follows, (a, b) => readyMinutes[(a < 0 ? count : a) * count + b]!).total
  const setup = Math.max(trips.minutes + tools, joint) + fetchMinutes
  // Where there is closing time, waits may run through the night and cost no working minute.
  const waiting = instance.calendar === null ? waitBound(instance) : 0
  return { minutes: Math.max(instance.startMinutes + work + setup, waiting), stays: trips.stays }
}

/**
 * The longest "must come before, wait, must come after" over all waits, and over things that arrive late.
 * What is not tied to either side may fill the wait, so it does not count.
 */
export function waitBound(instance: Instance): number {
  const ancestors = ancestorsOf(instance.count, instance.before, instance.topological)
  const workBefore = (step: number) => instance.minutes[step]! + minutesOf(instance, ancestors[step]!)
  const workAfter = (step: number) =>
    instance.minutes.reduce(
      (total, minutes, other) => total + (other === step || has(ancestors[other]!, step) ? minutes : 0),
      0,
    )
  let most = 0
  for (let step = 0; step < instance.count; step++) {
    for (const wait of instance.waits[step]!)
      most = Math.max(most, instance.startMinutes + workBefore(wait.from) + wait.minutes + workAfter(step))
    if (instance.notBefore && instance.notBefore[step]! > 0)
      most = Math.max(most, instance.notBefore[step]! + workAfter(step))
  }
  return most
}

function minutesOf(instance: Instance, steps: StepSet): number {
  return instance.minutes.reduce((total, minutes, step) => total + (has(steps, step) ? minutes : 0), 0)
}

/** Minutes of work at the least: all of it alone, less what the helper's time can save at its best. */
export function leastWork(instance: Instance): number {
  const { minutes, aloneMinutes, helperFrom, helperTo } = instance
  let work = aloneMinutes.reduce((total, value) => total + value, 0)
  const gains = Array.from(minutes, (value, step) => ({ minutes: value, gain: aloneMinutes[step]! - value }))
    .filter(({ gain }) => gain > 0)
    .sort((a, b) => b.gain / b.minutes - a.gain / a.minutes)
  let room = Math.max(0, helperTo - helperFrom)
  for (const { minutes: taken, gain } of gains) {
    const share = taken === 0 ? 1 : Math.min(1, room / taken)
    work -= gain * share
    room -= taken * share
  }
  return work
}
