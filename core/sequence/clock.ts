import type { CarPosition } from '../packs/types'
import { pairIndex } from './network'
import type { Network } from './network'
import type { SetupCost } from './types'

/** Where the mechanic, the car and the clock are between two steps. */
export interface Moment {
  minutes: number
  car: CarPosition
  lastStep: number | null
}

export function startMoment(network: Network): Moment {
  return { minutes: 0, car: network.setting.start.car, lastStep: null }
}

/** The position the car is in while a step is done; a step done at either height leaves it as it is. */
export function carDuring(network: Network, step: number, car: CarPosition): CarPosition {
  const wanted = network.car[step]!
  return wanted === 'either' ? car : wanted
}

/** What it costs to get ready for `step` from here. From the start, no tool is at hand. */
export function setupCost(network: Network, from: Moment, step: number): SetupCost {
  const index = pairIndex(network, from.lastStep, step)
  const car = carDuring(network, step, from.car)
  const walkMinutes = network.walks[index]!
  return {
    walkMinutes,
    positionMinutes: car === from.car ? 0 : network.positionMinutes[car],
    toolMinutes: network.readyMinutes[index]! - walkMinutes,
  }
}

/** The earliest minute at which every link into `step` is satisfied, given when the others finished. */
export function earliestStart(network: Network, finish: ArrayLike<number>, step: number): number {
  let earliest = 0
  for (const link of network.before[step]!) {
    const free = finish[link.from]! + link.waitMinutes
    if (free > earliest) earliest = free
  }
  return earliest
}

/** Does one step: fills its finish time in and moves `moment` on, in place. */
export function advance(network: Network, finish: Float64Array, moment: Moment, step: number): void {
  const car = carDuring(network, step, moment.car)
  let start = moment.minutes + network.readyMinutes[pairIndex(network, moment.lastStep, step)]!
  if (car !== moment.car) start += network.positionMinutes[car]
  const earliest = earliestStart(network, finish, step)
  if (earliest > start) start = earliest
  finish[step] = start + network.minutes[step]!
  moment.minutes = finish[step]
  moment.car = car
  moment.lastStep = step
}

/** Minutes from the start to the end of the last step when the steps are done in this order. */
export function durationOf(network: Network, order: number[]): number {
  const finish = new Float64Array(network.operations.length)
  const moment = startMoment(network)
  for (const step of order) advance(network, finish, moment, step)
  return moment.minutes
}
