import { Walks } from './walks'
import type { Slots } from './walks'
import type { Stretch } from './stretch'

/** What orders of a stretch cost at the least, and the prices that prove it. */
export interface Prices {
  /** No order takes fewer minutes of getting ready. */
  minutes: number
  /** By step: what doing it once is worth, and the sum of what its links to later steps are. */
  visit: Float64Array
  out: Float64Array
  /** By step: what a place further back in the order adds to its price. */
  slope: Float64Array
  slots: Slots
  /**
   * By place in the order and slot: what is still to come at the least, prices taken off, by steps that are not done;
   * the slot's set holds those.
   */
  ahead: Float64Array[]
}

/** A step further apart than its link wants counts so much less than a step that is left out. */
const LINK_SHARE = 2
/** How much of its last direction a stride keeps. */
const MOMENTUM = 0.6
const PATIENCE = 30
/** How much shorter strides become where nothing is gained, and where walks learn from their mistakes. */
const SHORTER = 0.7
const SHORTER_LEARNING = 0.9
/** Rounds after which what cannot be in a shorter order is looked for anew. */
const NARROWED_EVERY = 150
const FINEST_STEP = 1e-3

/**
 * The least minutes of getting ready for a stretch, by walks of its length that may leave a step out and do another
 * twice: every step has a price for being done, every link one for being kept, and the prices are moved until no walk
 * that breaks the rules is cheap. A place that no order shorter than the known one can give a step is shut on the way.
 *
 * Lagrangian relaxation of the time-dependent salesman (Picard and Queyranne 1978) with precedence, by subgradients
 * (Held, Wolfe and Crowder 1974) that keep some of their last direction (Camerini, Fratta and Maffioli 1975); from memory.
 * @param known minutes of getting ready of an order that is known
 * @param rounds how many times prices are moved at most
 */
export function priceStretch(stretch: Stretch, known: number, rounds: number): Prices {
  const { count, links } = stretch
  const linkScale = (LINK_SHARE / Math.max(1, count)) ** 2
  const walks = new Walks(stretch)
  let visit = new Float64Array(count)
  let link = new Float64Array(links.length)
  const cheapest = () => walks.cheapest(visit, sums(stretch, link).slope) + constant(visit, link)
  let best = { minutes: 0, visit: visit.slice(), link: link.slice() }
  const along = { visit: new Float64Array(count), link: new Float64Array(links.length) }
  let step = 1
  let patience = PATIENCE
  for (let round = 1; round <= rounds && step > FINEST_STEP && best.minutes < known - 1e-6; round++) {
    const minutes = cheapest()
    if (minutes > best.minutes + 1e-3) {
      best = { minutes, visit: visit.slice(), link: link.slice() }
      patience = PATIENCE
    } else if (--patience === 0) {
      patience = PATIENCE
      visit = best.visit.slice()
      link = best.link.slice()
      along.visit.fill(0)
      along.link.fill(0)
      best.minutes = Math.max(best.minutes, cheapest())
      step *= walks.learn() ? SHORTER_LEARNING : SHORTER
      continue
    }
    if (round % NARROWED_EVERY === 0) {
      const { slope } = sums(stretch, best.link)
      walks.shut(best.visit, slope, known - 1e-6 - constant(best.visit, best.link))
      cheapest()
    }
    const { times, places } = walks.walked()
    let length = 0
    let isOrder = true
    for (let at = 0; at < count; at++) {
      if (times[at] !== 1) isOrder = false
      along.visit[at] = 1 - times[at]! + MOMENTUM * along.visit[at]!
      length += along.visit[at]! ** 2
    }
    links.forEach(([before, after], at) => {
      const late = 1 + places[before]! - places[after]!
      if (late > 0 || (late < 0 && link[at]! > 0)) isOrder = false
      const off = late + MOMENTUM * along.link[at]!
      along.link[at] = off
      if (off > 0 || link[at]! > 0) length += linkScale * off ** 2
    })
    // The walk is an order, and every link with a price is just kept: nothing is left to be moved.
    if (isOrder || length === 0) break
    const stride = (step * (known - minutes + 0.5)) / length
    for (let at = 0; at < count; at++) visit[at]! += stride * along.visit[at]!
    for (let at = 0; at < links.length; at++) link[at] = Math.max(0, link[at]! + stride * linkScale * along.link[at]!)
  }
  const { out, slope } = sums(stretch, best.link)
  const ahead = walks.leastAhead(best.visit, slope)
  return { minutes: Math.min(known, best.minutes), visit: best.visit, out, slope, slots: walks.slots, ahead }
}

function sums({ count, links }: Stretch, link: Float64Array): { out: Float64Array; slope: Float64Array } {
  const out = new Float64Array(count)
  const slope = new Float64Array(count)
  links.forEach(([before, after], at) => {
    out[before]! += link[at]!
    slope[before]! += link[at]!
    slope[after]! -= link[at]!
  })
  return { out, slope }
}

const constant = (visit: Float64Array, link: Float64Array): number =>
  visit.reduce((sum, price) => sum + price, 0) + link.reduce((sum, price) => sum + price, 0)
