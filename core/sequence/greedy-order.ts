import type { Place } from '../packs/types'
import { advance, carDuring, earliestStart, setupCost, startMoment } from './clock'
import type { Moment } from './clock'
import type { Network } from './network'

/**
 * An order found by staying put: while something can be done here without waiting, do it;
 * else go where the most minutes of work can be done in one stay.
 * Ties go to the authored order, so the same input gives the same order.
 * @returns operation indices; every link is respected
 */
export function greedyOrder(network: Network): number[] {
  const count = network.operations.length
  const finish = new Float64Array(count)
  const missing = network.before.map(links => links.length)
  const done = new Array<boolean>(count).fill(false)
  const order: number[] = []
  const moment = startMoment(network)
  while (order.length < count) {
    const ready = network.operations.map((_, step) => step).filter(step => !done[step] && missing[step] === 0)
    if (ready.length === 0) return order
    const step = choose(network, finish, moment, ready, missing)
    advance(network, finish, moment, step)
    done[step] = true
    order.push(step)
    for (const next of network.after[step]!) missing[next]!--
  }
  return order
}

function choose(network: Network, finish: Float64Array, moment: Moment, ready: number[], missing: number[]): number {
  const waitOf = (step: number) => {
    const cost = setupCost(network, moment, step)
    const arrival = moment.minutes + cost.walkMinutes + cost.positionMinutes + cost.toolMinutes
    return Math.max(0, earliestStart(network, finish, step) - arrival)
  }
  const costOf = (step: number) => {
    const cost = setupCost(network, moment, step)
    return cost.walkMinutes + cost.positionMinutes + cost.toolMinutes + waitOf(step)
  }
  const here = ready.filter(step => network.place[step] === placeOf(network, moment) && carDuring(network, step, moment.car) === moment.car && waitOf(step) === 0)
  if (here.length > 0) return cheapest(here, costOf)

  const worth = (step: number) => {
    const cost = setupCost(network, moment, step)
    return stayMinutes(network, moment, step, ready, missing) / (cost.walkMinutes + cost.positionMinutes + waitOf(step) + 1)
  }
  const most = Math.max(...ready.map(worth))
  return cheapest(ready.filter(step => worth(step) >= most - 1e-9), costOf)
}

function cheapest(steps: number[], costOf: (step: number) => number): number {
  return steps.reduce((best, step) => costOf(step) < costOf(best) - 1e-9 ? step : best)
}

/** Minutes of work that a stay at the place of `step` would open up, links among them followed. */
function stayMinutes(network: Network, moment: Moment, step: number, ready: number[], missing: number[]): number {
  const place = network.place[step]
  const car = carDuring(network, step, moment.car)
  const fits = (other: number) => network.place[other] === place && (network.car[other] === 'either' || network.car[other] === car)
  const left = new Map<number, number>()
  const queue = ready.filter(fits)
  let minutes = 0
  for (let head = 0; head < queue.length; head++) {
    const current = queue[head]!
    minutes += network.minutes[current]!
    for (const next of network.after[current]!) {
      const remaining = (left.get(next) ?? missing[next]!) - 1
      left.set(next, remaining)
      if (remaining === 0 && fits(next)) queue.push(next)
    }
  }
  return minutes
}

function placeOf(network: Network, moment: Moment): Place {
  return moment.lastStep === null ? network.setting.start.place : network.place[moment.lastStep]!
}
