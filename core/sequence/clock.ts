import { workThrough } from './calendar'
import { CLEAN, DIRTY, EITHER } from './instance'
import type { Instance } from './instance'

/** Where the mechanic, the car and the clock are between two steps. */
export interface Moment {
  minutes: number
  car: number
  /** The step just finished; −1 at the start. */
  last: number
  dirty: boolean
}

export function startMoment(instance: Instance): Moment {
  return { minutes: instance.startMinutes, car: instance.startCar, last: -1, dirty: instance.startDirty }
}

/** The earliest minute at which every link into `step` is satisfied, and what it waits for has come. */
export function earliestStart(instance: Instance, finish: ArrayLike<number>, step: number): number {
  let earliest = instance.notBefore ? instance.notBefore[step]! : 0
  for (const wait of instance.waits[step]!) {
    const free = finish[wait.from]! + wait.minutes
    if (free > earliest) earliest = free
  }
  return earliest
}

/** Minutes to get ready for a step from here: walking, tools, the car's height, washing hands. */
export function setupMinutes(instance: Instance, from: Moment, step: number): number {
  const car = instance.car[step]!
  return (
    instance.readyMinutes[(from.last < 0 ? instance.count : from.last) * instance.count + step]! +
    (car !== EITHER && car !== from.car ? instance.positionMinutes[car]! : 0) +
    (from.dirty && instance.hands[step] === CLEAN ? instance.washMinutes : 0)
  )
}

/** Minutes of the step itself when it starts at `start`: longer for two-handed work without the helper. */
export function workMinutes(instance: Instance, start: number, step: number): number {
  const minutes = instance.minutes[step]!
  return start >= instance.helperFrom && start + minutes <= instance.helperTo ? minutes : instance.aloneMinutes[step]!
}

/** Does one step: fills its finish time in and moves `moment` on, in place. */
export function advance(instance: Instance, finish: Float64Array, moment: Moment, step: number): void {
  const setup = setupMinutes(instance, moment, step)
  const { calendar } = instance
  let start = calendar ? workThrough(calendar, moment.minutes, setup) : moment.minutes + setup
  const earliest = earliestStart(instance, finish, step)
  if (earliest > start) start = earliest
  const minutes = workMinutes(instance, start, step)
  const end = calendar ? workThrough(calendar, start, minutes) : start + minutes
  finish[step] = end
  moment.minutes = end
  moment.last = step
  const car = instance.car[step]!
  if (car !== EITHER) moment.car = car
  const hands = instance.hands[step]!
  if (hands !== 0) moment.dirty = hands === DIRTY
}

/** Minutes from the start to the end of the last step when the steps are done in this order. */
export function durationOf(instance: Instance, order: ArrayLike<number>): number {
  const finish = new Float64Array(instance.count)
  const moment = startMoment(instance)
  for (let position = 0; position < order.length; position++) advance(instance, finish, moment, order[position]!)
  return moment.minutes
}
