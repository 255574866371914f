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
  /** Tools at hand, the last one used last; kept only where a tray holds more than the tools of the step before. */
  tray: number[]
}

export function startMoment(instance: Instance): Moment {
  return { minutes: instance.startMinutes, car: instance.startCar, last: -1, dirty: instance.startDirty, tray: [] }
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
    walkAndFetch(instance, from, step) +
    (car !== EITHER && car !== from.car ? instance.positionMinutes[car]! : 0) +
    (from.dirty && instance.hands[step] === CLEAN ? instance.washMinutes : 0)
  )
}

function walkAndFetch(instance: Instance, from: Moment, step: number): number {
  if (instance.trayTools === 0)
    return instance.readyMinutes[(from.last < 0 ? instance.count : from.last) * instance.count + step]!
  const stays = isStay(instance, from, step)
  const atHand = stays || from.last < 0 ? from.tray : instance.tools[from.last]!
  let minutes = stays ? 0 : instance.walkMinutes
  for (const tool of instance.tools[step]!) if (!atHand.includes(tool)) minutes += instance.toolMinutes
  return minutes
}

const isStay = (instance: Instance, { last }: Moment, step: number): boolean =>
  instance.place[step] === (last < 0 ? instance.startPlace : instance.place[last])

/** Lays the tools of a step at hand: whoever walks takes along what is in hand, and a full tray lets go what was used longest ago. */
export function layTools(instance: Instance, moment: Moment, step: number): void {
  if (instance.trayTools === 0) return
  const { tray } = moment
  if (moment.last >= 0 && !isStay(instance, moment, step)) tray.splice(0, tray.length, ...instance.tools[moment.last]!)
  const tools = instance.tools[step]!
  for (const tool of tools) {
    const at = tray.indexOf(tool)
    if (at >= 0) tray.splice(at, 1)
    tray.push(tool)
  }
  const most = Math.max(instance.trayTools, tools.length)
  if (tray.length > most) tray.splice(0, tray.length - most)
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
  layTools(instance, moment, step)
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
