import { DIRTY, EITHER } from '../instance'
import { add, has, holdsAll } from '../step-set'
import type { StepSet } from '../step-set'
import { blankLabel, Labels, Trace } from './labels'
import type { Label } from './labels'
import type { Prices } from './prices'
import { flagsAfter, turnMinutes } from './stretch'
import type { Stretch } from './stretch'

/** What one step waits for: another, for some minutes after it; or a moment, where `from` is below 0. Own numbers. */
export interface Wait {
  from: number
  to: number
  minutes: number
}

export interface Search {
  /** Only orders of fewer minutes are looked for. */
  below: number
  /** Labels gone on from before giving up. */
  labels: number
  /** What has to be waited for, and when work begins; left out, minutes are those of getting ready alone. */
  waits?: { list: Wait[]; startMinutes: number }
  /** Told now and then of how many labels were gone on from; `false` ends the search. */
  onLooked?: (looked: number) => boolean | void
}

export interface Found {
  /** The shortest order, in own numbers; `null` where none is shorter, or the search gave up. */
  order: number[] | null
  minutes: number
  /** Whether everything was looked at. */
  whole: boolean
  looked: number
}

const TOLD_EVERY = 50_000

/**
 * Searches all orders of a stretch, by how many steps are done: of orders that have done the same steps and leave place, tools, car and hands
 * alike only those go on that no other beats, and of these only what the prices let come out shorter than is known.
 * A step that wants nothing that is not at hand, and changes nothing of it, is done at once: elsewhere it could only cost more.
 *
 * Dynamic programming over sets of steps (Held and Karp 1962), with prices as bounds; nothing is kept of what is left behind but the way back.
 */
export function shortestOrder(stretch: Stretch, prices: Prices, search: Search): Found {
  const looking = new Looking(stretch, prices, search)
  return looking.all()
}

class Looking {
  private readonly layers: (Labels | null)[]
  private readonly trace = new Trace()
  private readonly waits: Wait[]
  private readonly work: Float64Array
  private readonly turn: Float64Array
  private readonly next: Uint8Array
  /** By step: work of it and of everything that must come after it, for steps that wait. */
  private readonly tail: Float64Array
  /** By step: the others at its place with its tools, and those that may stand directly after it. */
  private readonly kin: number[][]
  private readonly after: number[][]
  private readonly release: Float64Array
  private readonly label: Label
  private best = { minutes: Infinity, trace: -1, step: -1 }
  private looked = 0

  constructor(
    private readonly stretch: Stretch,
    private readonly prices: Prices,
    private readonly search: Search,
  ) {
    const { count, instance, steps, needs, alike } = stretch
    this.waits = search.waits?.list ?? []
    this.work = Float64Array.from(steps, step => (search.waits ? instance.aloneMinutes[step]! : 0))
    this.turn = Float64Array.from({ length: count * 4 }, (_, at) => turnMinutes(instance, at & 3, steps[at >> 2]!))
    this.next = Uint8Array.from({ length: count * 4 }, (_, at) => flagsAfter(instance, at & 3, steps[at >> 2]!))
    this.tail = Float64Array.from({ length: count }, (_, step) =>
      this.work.reduce((sum, minutes, other) => sum + (other === step || has(needs[other]!, step) ? minutes : 0), 0),
    )
    const own = Array.from({ length: count }, (_, step) => step)
    this.kin = own.map(step => own.filter(other => other !== step && alike[other] === alike[step]))
    this.after = own.map(step => own.filter(other => stretch.follows[step * count + other] === 1))
    this.layers = Array.from({ length: count + 1 }, () => null)
    this.release = new Float64Array(this.waits.length)
    this.label = blankLabel(count)
  }

  all(): Found {
    const { stretch, prices, search, waits, work, release } = this
    const { count, entries } = stretch
    const start = blankLabel(count)
    start.minutes = search.waits?.startMinutes ?? 0
    start.left = sum(prices.visit) + sum(prices.out) + sum(work)
    const held = Float64Array.from(waits, wait => (wait.from < 0 ? wait.minutes : 0))
    entries.forEach(({ flags }, entry) => {
      // The way in stands in the trace as a step below 0.
      start.trace = this.trace.add(-1, ~entry)
      for (let step = 0; step < count; step++) {
        if (stretch.earliest[step] !== 0) continue
        release.set(held)
        this.goOn(start, 0, count + entry, flags, step)
      }
    })
    const from = blankLabel(count)
    const waited = new Float64Array(waits.length)
    for (let place = 1; place < count; place++) {
      const layer = this.layers[place]
      this.layers[place] = null
      if (!layer) continue
      for (let at = 0; at < layer.size; at++) {
        if (
          this.looked++ >= search.labels ||
          (this.looked % TOLD_EVERY === 0 && search.onLooked?.(this.looked) === false)
        )
          return { order: null, minutes: search.below, whole: false, looked: this.looked }
        layer.read(at, from, waited)
        const last = from.state >> 2
        from.trace = this.trace.add(from.trace, from.step)
        for (const step of this.after[last]!) {
          if (!this.isOpen(from.done, step)) continue
          release.set(waited)
          this.goOn(from, place, last, from.state & 3, step)
        }
      }
    }
    const { minutes, trace, step } = this.best
    if (minutes === Infinity) return { order: null, minutes: search.below, whole: true, looked: this.looked }
    const branches = [...this.trace.back(trace), step]
    return { order: this.written(branches, held), minutes, whole: true, looked: this.looked }
  }

  private isOpen(done: StepSet, step: number): boolean {
    return !has(done, step) && holdsAll(done, this.stretch.needs[step]!)
  }

  /** The order that branches lead to, with what is done at once in between. */
  private written([entry, ...branches]: number[], held: Float64Array): number[] {
    const { stretch, label, release, search } = this
    label.done.fill(0)
    label.minutes = search.waits?.startMinutes ?? 0
    release.set(held)
    const order: number[] = []
    let row = stretch.count + ~entry!
    let { flags } = stretch.entries[~entry!]!
    for (const step of branches) {
      this.doAll(row, flags, step, next => order.push(next))
      row = label.state >> 2
      flags = label.state & 3
    }
    return order
  }

  /** Gets ready for a step and does it, and what is done at once after it, on the label in hand. */
  private doAll(row: number, flags: number, step: number, onStep: (step: number) => void): void {
    const { stretch, label } = this
    label.minutes += stretch.ready[row * stretch.count + step]! + this.turn[step * 4 + flags]!
    for (let next = step, now = flags; next >= 0; next = this.atOnce(label)) {
      this.take(label, next, now)
      onStep(next)
      now = label.state & 3
    }
  }

  /** A step that costs nothing here and leaves everything as it is; −1 where there is none. */
  private atOnce(label: Label): number {
    const { stretch, waits, release } = this
    const { instance, steps } = stretch
    const last = label.state >> 2
    const flags = label.state & 3
    const kin = this.kin[last]!
    if (kin.length === 0 || instance.directlyBefore[steps[last]!]! >= 0) return -1
    // Before a wait has begun, work that is put off may be what fills it.
    for (const { from } of waits) if (from >= 0 && !has(label.done, from)) return -1
    for (const step of kin) {
      if (!this.isOpen(label.done, step)) continue
      const own = steps[step]!
      if (instance.directlyBefore[own]! >= 0 || instance.directlyAfter[own]! >= 0) continue
      if (instance.car[own] !== EITHER && instance.car[own] !== flags >> 1) continue
      if (instance.hands[own] !== 0 && (instance.hands[own] === DIRTY ? 1 : 0) !== (flags & 1)) continue
      if (waits.some((wait, at) => wait.to === step && release[at]! > label.minutes + 1e-9)) continue
      return step
    }
    return -1
  }

  private goOn(from: Label, place: number, row: number, flags: number, step: number): void {
    const { stretch, label, search, waits, release } = this
    const { count } = stretch
    label.done.set(from.done)
    label.left = from.left
    label.slope = from.slope
    label.minutes = from.minutes
    label.trace = from.trace
    label.step = step
    let size = place
    this.doAll(row, flags, step, () => size++)
    if (size === count) {
      if (label.minutes < Math.min(search.below - 1e-6, this.best.minutes))
        this.best = { minutes: label.minutes, trace: label.trace, step }
      return
    }
    const limit = Math.min(search.below, this.best.minutes) - 1e-6
    if (label.minutes + label.left + size * label.slope + this.stillToCome(size - 1) >= limit) return
    for (let at = 0; at < waits.length; at++) {
      const wait = waits[at]!
      const isOver = has(label.done, wait.to)
      const hasBegun = wait.from < 0 || has(label.done, wait.from)
      if (!isOver && hasBegun && release[at]! + this.tail[wait.to]! >= limit) return
      // A release that lies behind holds nothing back; made equal, labels compare as what they are.
      if (isOver || (hasBegun && release[at]! < label.minutes)) release[at] = label.minutes
    }
    const { instance, steps, alike } = stretch
    const last = label.state >> 2
    // A step that is bound to the next is like no other.
    const like = instance.directlyBefore[steps[last]!]! >= 0 ? count + last : alike[last]!
    label.kind = like * 4 + (label.state & 3)
    ;(this.layers[size] ??= new Labels(count, waits.length)).put(label, release)
  }

  /** What is to come from a place on at the least, by steps that are not done as far as it is remembered. */
  private stillToCome(place: number): number {
    const { done, state } = this.label
    const { slots, ahead } = this.prices
    const remembered = slots.memory[state >> 2]!
    let left = 0
    for (let bit = 0; bit < remembered.length; bit++) if (!has(done, remembered[bit]!)) left |= 1 << bit
    return ahead[place]![slots.first[state]! + left]!
  }

  /** Does a step: its minutes, its price and what waits for it. */
  private take(label: Label, step: number, flags: number): void {
    const { waits, release, prices, work } = this
    for (let at = 0; at < waits.length; at++)
      if (waits[at]!.to === step && release[at]! > label.minutes) label.minutes = release[at]!
    label.minutes += work[step]!
    for (let at = 0; at < waits.length; at++)
      if (waits[at]!.from === step) release[at] = label.minutes + waits[at]!.minutes
    add(label.done, step)
    label.state = step * 4 + this.next[step * 4 + flags]!
    label.left -= prices.visit[step]! + prices.out[step]! + work[step]!
    label.slope += prices.slope[step]!
  }
}

const sum = (values: Float64Array): number => values.reduce((total, value) => total + value, 0)
