import { leastWork } from '../bounds/lower-bound'
import { withoutTray } from '../bounds/without-tray'
import { durationOf } from '../clock'
import { improveOrder } from '../improve-order'
import type { Instance } from '../instance'
import { ancestorsOf, has } from '../step-set'
import { priceStretch } from './prices'
import type { Prices } from './prices'
import { shortestOrder } from './shortest-order'
import type { Found, Wait } from './shortest-order'
import { cutWork, entriesAfter, flagsAfter, LESS_NARROW, NARROW, turnMinutes, wholeJob } from './stretch'
import type { Entry, Stretch } from './stretch'

/** How hard to look. Everything is counted, nothing is timed. */
export interface ProofEffort {
  /** How many times prices are moved, for each stretch. */
  rounds?: number
  /** Labels of each search. */
  labels?: number
  /** Told of the share that is done, and of minutes below which no order comes; `false` ends the search. */
  onProgress?: (share: number, lowerBoundMinutes: number) => boolean | void
}

export interface Proof {
  /** An order shorter than the known one; `null` where none was found. */
  order: Int32Array | null
  /** No order is done in fewer working minutes. */
  lowerBoundMinutes: number
  looked: number
}

const DEFAULTS = { rounds: 800, labels: 2_000_000 }
/** Minutes between what is known and what is proven, beyond which a job is not searched whole. */
const WITHIN_REACH = 10
/** A job of so few steps is searched whole all the same. */
const FEW_STEPS = 40
/** How often a stretch is searched once more, with half as much to prove. */
const TRIES = 3
const LAST_MOVES = 4000

/**
 * Proves how good an order is, or finds a shorter one: by the whole job where it is within reach, else stretch by stretch, each from whatever
 * end of the one before it suits it best.
 * Washing, parts that come late, waits and a later start are heeded; of closing time and of a helper who comes for a while only what they save
 * at their best.
 * @param order a legal order, and `lowerBoundMinutes` what is known of the shortest one
 */
export function proveOrder(
  instance: Instance,
  order: ArrayLike<number>,
  lowerBoundMinutes: number,
  effort: ProofEffort = {},
): Proof {
  const proving = new Proving(instance, order, lowerBoundMinutes, effort)
  if (instance.count > 0) proving.go()
  return proving.proof()
}

class Proving {
  private readonly straight: Instance
  /** The job as it is bounded, and what its tools cost on top. */
  private readonly bare: Instance
  private readonly fetchMinutes: number
  private readonly rounds: number
  private readonly labels: number
  private candidate: Int32Array
  private looked = 0
  private stopped = false
  private share = 0

  constructor(
    private readonly instance: Instance,
    private readonly order: ArrayLike<number>,
    private bound: number,
    private readonly effort: ProofEffort,
  ) {
    this.straight = { ...instance, calendar: null }
    const { bare, fetchMinutes } = withoutTray(instance)
    this.bare = bare
    this.fetchMinutes = fetchMinutes
    this.candidate = Int32Array.from(order)
    this.rounds = effort.rounds ?? DEFAULTS.rounds
    this.labels = effort.labels ?? DEFAULTS.labels
  }

  proof(): Proof {
    const order = shorter(this.instance, this.order, this.candidate)
    const lowerBoundMinutes = Math.min(this.bound, durationOf(this.straight, order ?? this.order))
    return { order, lowerBoundMinutes, looked: this.looked }
  }

  go(): void {
    const { instance, rounds } = this
    const base = instance.startMinutes + leastWork(instance) + this.fetchMinutes
    const known = durationOf(this.straight, this.order) - base
    this.bound = Math.max(this.bound, base)
    if (known <= 1e-6) return
    const whole = wholeJob(this.bare)
    // A few rounds tell whether the whole job is within reach.
    let prices = priceStretch(whole, known, rounds / 4)
    const isFew = whole.count <= FEW_STEPS
    if (isFew || known - prices.minutes <= WITHIN_REACH * 1.5) prices = priceStretch(whole, known, rounds)
    if (!this.tell(0.1, base + prices.minutes)) return
    if ((isFew || known - prices.minutes <= WITHIN_REACH) && this.searchWhole(whole, prices, known, base)) return
    const steps = Array.from(whole.steps)
    this.tell(0.5, base + this.partByPart(steps, whole.entries, 0.1, 0.5))
    // Waits run through the night and cost no working minute then.
    if (instance.calendar === null) this.acrossWaits(steps, whole.entries, prices.minutes)
  }

  /** Told of where it stands; whether it is to go on. */
  private tell(share: number, minutes = this.bound): boolean {
    this.share = Math.max(share, this.share)
    this.bound = Math.max(this.bound, minutes)
    if (!this.stopped && this.effort.onProgress?.(this.share, this.bound) === false) this.stopped = true
    return !this.stopped
  }

  private seek(stretch: Stretch, prices: Prices, below: number, to: number, waits?: Wait[]): Found {
    const { labels, share } = this
    const found = shortestOrder(stretch, prices, {
      below,
      labels,
      ...(waits ? { waits: { list: waits, startMinutes: this.instance.startMinutes } } : {}),
      onLooked: looked => this.tell(share + ((to - share) * looked) / labels),
    })
    this.looked += found.looked
    return found
  }

  /** Searches the whole job; whether all of it was looked at. */
  private searchWhole(whole: Stretch, prices: Prices, known: number, base: number): boolean {
    const { instance, straight, order } = this
    const found = this.seek(whole, prices, known, 0.5)
    if (found.whole) this.tell(0.5, base + found.minutes)
    if (found.order) this.candidate = Int32Array.from(found.order)
    const waits = waitsOf(instance)
    const reached = Math.min(durationOf(straight, order), durationOf(straight, this.candidate))
    // What is shortest without waiting may have to wait; over closing time a wait costs no working minute.
    // What is fetched while something waits costs nothing, so that a tray cannot be bounded with it.
    if (
      this.stopped ||
      instance.trayTools > 0 ||
      instance.calendar !== null ||
      waits.length === 0 ||
      instance.helperFrom < Infinity ||
      reached <= this.bound + 1e-6
    )
      return found.whole
    const patient = this.seek(whole, prices, reached, 1, waits)
    if (patient.whole) this.tell(1, patient.minutes)
    if (patient.order) this.candidate = Int32Array.from(patient.order)
    return found.whole
  }

  /**
   * Minutes of getting ready for some of the steps at the least; on the way each stretch of the candidate is put into
   * its shortest order.
   */
  private partByPart(steps: number[], entries: Entry[], from: number, to: number, narrow = NARROW): number {
    let sum = 0
    const stretches = cutWork(this.bare, steps, entries, narrow)
    for (const [index, stretch] of stretches.entries()) {
      if (stretch.count === 0 || this.stopped) continue
      const known = readyMinutes(stretch, orderIn(stretch, this.candidate))
      const prices = priceStretch(stretch, known, this.rounds)
      let least = prices.minutes
      const open = known - least
      let isExact = false
      for (let tries = 0; tries < TRIES && !this.stopped && least < known - 1e-6; tries++) {
        const below = prices.minutes + open / 2 ** tries
        const found = this.seek(stretch, prices, below, from + ((to - from) * (index + 1)) / stretches.length)
        if (!found.whole) continue
        least = found.minutes
        isExact = tries === 0 || found.order !== null
        if (found.order) this.take(weave(stretch, this.candidate, found.order))
        break
      }
      // What is too long to be searched whole is cut where more of it may be done on either side.
      if (!isExact && narrow === NARROW && least < known - 1e-6)
        least = Math.max(least, this.partByPart(Array.from(stretch.steps), stretch.entries, from, to, LESS_NARROW))
      sum += least
    }
    return sum
  }

  /** Goes on from an order that breaks no link; what lies between the stretches may forbid one. */
  private take(order: Int32Array): void {
    if (isLegal(this.instance, order)) this.candidate = order
  }

  /** What comes before a wait and what comes after it are done as well as can be, with the wait between them. */
  private acrossWaits(steps: number[], entries: Entry[], setup: number): void {
    const { instance } = this
    const ancestors = ancestorsOf(instance.count, instance.before, instance.topological)
    const work = (list: number[]) => list.reduce((total, step) => total + instance.minutes[step]!, 0)
    const sides = instance.waits.flatMap((list, to) =>
      list.map(({ from, minutes }) => {
        const before = steps.filter(step => step === from || has(ancestors[from]!, step))
        const after = steps.filter(step => step === to || has(ancestors[step]!, to))
        return { to, before, after, least: instance.startMinutes + work(before) + minutes + work(after) }
      }),
    )
    const [longest] = sides.sort((a, b) => b.least - a.least)
    if (this.stopped || !longest || longest.least + setup <= this.bound) return
    const before = this.partByPart(longest.before, entries, 0.5, 0.8)
    // What waits is got ready for in the meantime.
    const rest = longest.after.filter(step => step !== longest.to)
    const after = this.partByPart(rest, entriesAfter(this.bare, [longest.to]), 0.8, 1)
    this.tell(1, longest.least + before + after)
  }
}

/** What steps wait for: others, and what comes late. */
function waitsOf(instance: Instance): Wait[] {
  const late = instance.notBefore
    ? [...instance.notBefore].flatMap((minutes, to) => (minutes > 0 ? [{ from: -1, to, minutes }] : []))
    : []
  return [...instance.waits.flatMap((list, to) => list.map(wait => ({ ...wait, to }))), ...late]
}

/** Own numbers of a stretch's steps, as an order has them. */
function orderIn(stretch: Stretch, order: ArrayLike<number>): number[] {
  const own = new Map(Array.from(stretch.steps, (step, number) => [step, number]))
  return Array.from(order).flatMap(step => own.get(step) ?? [])
}

/** Minutes of getting ready for steps in an order, from the end before that suits it best. */
function readyMinutes(stretch: Stretch, order: number[]): number {
  const { count, entries, instance, steps, ready } = stretch
  return Math.min(
    ...entries.map((entry, at) => {
      let { flags } = entry
      let row = count + at
      let minutes = 0
      for (const step of order) {
        minutes += ready[row * count + step]! + turnMinutes(instance, flags, steps[step]!)
        flags = flagsAfter(instance, flags, steps[step]!)
        row = step
      }
      return minutes
    }),
  )
}

/** An order with the steps of a stretch in another one, in the places that they had. */
function weave(stretch: Stretch, order: Int32Array, own: number[]): Int32Array {
  const inside = new Set(stretch.steps)
  let next = 0
  return order.map(step => (inside.has(step) ? stretch.steps[own[next++]!]! : step))
}

/** A candidate, improved by moves, where it is shorter than the order; else `null`. */
function shorter(instance: Instance, order: ArrayLike<number>, candidate: Int32Array): Int32Array | null {
  if (candidate.every((step, at) => step === order[at])) return null
  const improved = improveOrder(instance, candidate, { budget: LAST_MOVES, seed: 1 })
  return durationOf(instance, improved) < durationOf(instance, order) - 1e-6 ? improved : null
}

function isLegal({ count, before, directlyAfter }: Instance, order: Int32Array): boolean {
  const place = new Int32Array(count)
  order.forEach((step, at) => {
    place[step] = at
  })
  return before.every(
    (list, step) =>
      list.every(earlier => place[earlier]! < place[step]!) &&
      (directlyAfter[step]! < 0 || place[directlyAfter[step]!] === place[step]! - 1),
  )
}
