import { advance, setupMinutes, startMoment, workMinutes } from './clock'
import type { Moment } from './clock'
import type { Instance } from './instance'

/** An order with the clock at each place in it, so that a changed stretch can be timed without the rest. */
export class TimedOrder {
  /** Mechanic, car and clock before each position, and after the last. */
  private readonly moments: Moment[] = []
  private readonly finish: Float64Array
  /** As `finish`, but while a candidate is timed. */
  private readonly scratch: Float64Array
  private readonly moment: Moment
  private readonly position: Int32Array
  /** By position: when the set-up is done, and when the work starts. */
  private readonly ready: Float64Array
  private readonly start: Float64Array
  /** Positions of the steps that wait for something, in order. */
  private waiting: number[] = []
  /** Whether every step takes its minutes whenever it starts, so that a later start shifts the end by just as much. */
  private readonly steady: boolean
  minutes = 0

  constructor(
    private readonly instance: Instance,
    public order: Int32Array,
  ) {
    this.finish = new Float64Array(instance.count)
    this.scratch = new Float64Array(instance.count)
    this.position = new Int32Array(instance.count)
    this.ready = new Float64Array(instance.count)
    this.start = new Float64Array(instance.count)
    this.moment = startMoment(instance)
    this.steady = instance.calendar === null && instance.helperFrom === Infinity
    for (let position = 0; position <= order.length; position++) this.moments.push(startMoment(instance))
    this.time(0)
  }

  /** Takes a changed order in place of the own one, the same up to `from`. */
  take(candidate: ArrayLike<number>, from: number): void {
    this.order = Int32Array.from(candidate)
    this.time(from)
  }

  private time(from: number): void {
    const { instance, order, finish, moments, position } = this
    for (let at = from; at < order.length; at++) {
      const next = moments[at + 1]!
      copy(moments[at]!, next)
      advance(instance, finish, next, order[at]!)
      this.scratch[order[at]!] = finish[order[at]!]!
      position[order[at]!] = at
      this.ready[at] = moments[at]!.minutes + setupMinutes(instance, moments[at]!, order[at]!)
      this.start[at] = next.minutes - workMinutes(instance, Infinity, order[at]!)
    }
    this.minutes = moments[order.length]!.minutes
    this.waiting = []
    for (let at = 0; at < order.length; at++) {
      const step = order[at]!
      if (instance.waits[step]!.length > 0 || (instance.notBefore !== null && instance.notBefore[step]! > 0))
        this.waiting.push(at)
    }
  }

  /**
   * Minutes if `candidate`, the same but for the positions from `from` up to `to`, took the place of the order.
   * @returns infinity as soon as it is known to be beyond `limit`
   */
  minutesOf(candidate: Int32Array, from: number, to: number, limit: number): number {
    const { instance, scratch, finish, moment, moments } = this
    copy(moments[from]!, moment)
    let at = from
    let minutes = -1
    for (; at < candidate.length && minutes < 0; at++) {
      if (at >= to && this.steady && sameState(moment, moments[at]!)) {
        minutes = this.shifted(at, moment.minutes - moments[at]!.minutes)
        break
      }
      advance(instance, scratch, moment, candidate[at]!)
      if (moment.minutes > limit) minutes = Infinity
    }
    for (let timed = from; timed < at; timed++) scratch[candidate[timed]!] = finish[candidate[timed]!]!
    return minutes < 0 ? moment.minutes : minutes
  }

  /** The end when everything from `at` on is as it was but later by `delay`; only steps that wait can change that. */
  private shifted(at: number, delay: number): number {
    const { instance, scratch, finish, order, position, ready, start } = this
    let shift = delay
    const delays: [position: number, delay: number][] = [[at, delay]]
    for (const waiter of this.waiting) {
      if (waiter < at) continue
      const step = order[waiter]!
      let earliest = instance.notBefore ? instance.notBefore[step]! : 0
      for (const wait of instance.waits[step]!) {
        const source = position[wait.from]!
        const done = source < at ? scratch[wait.from]! : finish[wait.from]! + delayAt(delays, source)
        if (done + wait.minutes > earliest) earliest = done + wait.minutes
      }
      shift = Math.max(ready[waiter]! + shift, earliest) - start[waiter]!
      delays.push([waiter, shift])
    }
    return this.minutes + shift
  }
}

function delayAt(delays: [number, number][], position: number): number {
  for (let index = delays.length - 1; index >= 0; index--) if (delays[index]![0] <= position) return delays[index]![1]
  return 0
}

function sameState(a: Moment, b: Moment): boolean {
  return (
    a.last === b.last &&
    a.car === b.car &&
    a.dirty === b.dirty &&
    a.tray.length === b.tray.length &&
    a.tray.every((tool, at) => tool === b.tray[at])
  )
}

function copy(from: Moment, to: Moment): void {
  to.minutes = from.minutes
  to.car = from.car
  to.last = from.last
  to.dirty = from.dirty
  to.tray.length = from.tray.length
  for (let at = 0; at < from.tray.length; at++) to.tray[at] = from.tray[at]!
}
