import { advance, earliestStart, setupMinutes, startMoment } from './clock'
import type { Moment } from './clock'
import { EITHER } from './instance'
import type { Instance } from './instance'

/**
 * An order found by staying put: while something can be done here without waiting, do it;
 * else go where the most minutes of work can be done in one stay.
 * Ties go to the order given, so the same input gives the same order.
 * @returns step indices; every link is respected
 */
export function greedyOrder(instance: Instance): Int32Array {
  return constructOrder(instance, choose)
}

type Chooser = (
  instance: Instance,
  finish: Float64Array,
  moment: Moment,
  ready: number[],
  missing: Int32Array,
) => number

/** Builds an order step by step; whatever must stand directly after the last step is taken first. */
export function constructOrder(instance: Instance, chooser: Chooser): Int32Array {
  const { count } = instance
  const finish = new Float64Array(count)
  const missing = Int32Array.from(instance.before, list => list.length)
  const done = new Uint8Array(count)
  const order = new Int32Array(count)
  const moment = startMoment(instance)
  for (let position = 0; position < count; position++) {
    const bound = moment.last < 0 ? -1 : instance.directlyBefore[moment.last]!
    const ready: number[] = []
    for (let step = 0; step < count; step++)
      if (!done[step] && missing[step] === 0 && instance.directlyAfter[step]! < 0) ready.push(step)
    const step = bound >= 0 ? bound : chooser(instance, finish, moment, ready, missing)
    advance(instance, finish, moment, step)
    done[step] = 1
    order[position] = step
    for (const next of instance.after[step]!) missing[next]!--
  }
  return order
}

function choose(
  instance: Instance,
  finish: Float64Array,
  moment: Moment,
  ready: number[],
  missing: Int32Array,
): number {
  const waitOf = (step: number) =>
    Math.max(0, earliestStart(instance, finish, step) - moment.minutes - setupMinutes(instance, moment, step))
  const costOf = (step: number) => setupMinutes(instance, moment, step) + waitOf(step)
  const here = ready.filter(
    step =>
      instance.place[step] === placeOf(instance, moment) &&
      (instance.car[step] === EITHER || instance.car[step] === moment.car) &&
      waitOf(step) === 0,
  )
  if (here.length > 0) return cheapest(here, costOf)

  const worth = (step: number) => stayMinutes(instance, moment, step, ready, missing) / (costOf(step) + 1)
  const worths = new Map(ready.map(step => [step, worth(step)]))
  const most = Math.max(...worths.values())
  return cheapest(
    ready.filter(step => worths.get(step)! >= most - 1e-9),
    costOf,
  )
}

export function cheapest(steps: number[], costOf: (step: number) => number): number {
  return steps.reduce((best, step) => (costOf(step) < costOf(best) - 1e-9 ? step : best))
}

/** Minutes of work that a stay at the place of `step` would open up, links among them followed. */
function stayMinutes(instance: Instance, moment: Moment, step: number, ready: number[], missing: Int32Array): number {
  const place = instance.place[step]
  const car = instance.car[step] === EITHER ? moment.car : instance.car[step]
  const fits = (other: number) =>
    instance.place[other] === place && (instance.car[other] === EITHER || instance.car[other] === car)
  const left = new Map<number, number>()
  const queue = ready.filter(fits)
  let minutes = 0
  for (let head = 0; head < queue.length; head++) {
    const current = queue[head]!
    minutes += instance.minutes[current]!
    for (const next of instance.after[current]!) {
      const remaining = (left.get(next) ?? missing[next]!) - 1
      left.set(next, remaining)
      if (remaining === 0 && fits(next)) queue.push(next)
    }
  }
  return minutes
}

export function placeOf(instance: Instance, moment: Moment): number {
  return moment.last < 0 ? instance.startPlace : instance.place[moment.last]!
}
