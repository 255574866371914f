import { partialBound } from './bounds/partial-bound'
import { EITHER } from './instance'
import type { Instance } from './instance'
import { PartialPlans } from './partial-plans'

/** More steps than this do not fit in the bits of one number. */
export const LARGEST_EXACT = 30

export interface ExactResult {
  /** A shorter order than the one known, or `null` when there is none or the search gave up. */
  order: Int32Array | null
  minutes: number
  /** Whether no shorter order exists. */
  proven: boolean
  /** No order is done sooner than this. */
  lowerBoundMinutes: number
}

/**
 * Searches all orders of a small job, length by length, keeping of the partial plans with the same steps done, the same
 * last step and the same height of the car only those that no other beats in time and in waits; what cannot come out
 * shorter than the known order is dropped.
 *
 * Dynamic programming over sets of steps (Held and Karp 1962) with bounds.
 * Takes no account of helpers, calendars, late parts, washing or steps bound together.
 * @param known minutes of the best order known
 * @param budget partial plans looked at before giving up
 */
export function exactOrder(instance: Instance, known: number, budget: number): ExactResult {
  const { count, readyMinutes, positionMinutes } = instance
  if (count > LARGEST_EXACT) throw new RangeError(`exactOrder takes up to ${LARGEST_EXACT} steps, not ${count}`)
  const needs = instance.before.map(list => list.reduce((mask, step) => mask | (1 << step), 0))
  const waits = instance.waits.flatMap((list, to) => list.map(wait => ({ ...wait, to })))
  const bound = partialBound(instance, waits)
  const layers = [PartialPlans.start(instance.startCar, waits.length, bound.whole)]
  const release = new Float64Array(waits.length)
  const limit = known - 1e-9
  let looked = 0

  for (let done = 0; done < count; done++) {
    const from = layers[done]!
    const next = new PartialPlans(waits.length)
    for (let at = 0; at < from.size; at++) {
      const mask = from.mask[at]!
      const last = from.last[at]!
      const row = (last < 0 ? count : last) * count
      for (let step = 0; step < count; step++) {
        if ((mask & (1 << step)) !== 0 || (needs[step]! & ~mask) !== 0) continue
        if (++looked > budget) {
          return {
            order: null,
            minutes: known,
            proven: false,
            lowerBoundMinutes: Math.min(known, from.leastEstimate(at), next.leastEstimate(0)),
          }
        }
        const wanted = instance.car[step]!
        const car = wanted === EITHER ? from.car[at]! : wanted
        let start = from.minutes[at]! + readyMinutes[row + step]! + (car === from.car[at] ? 0 : positionMinutes[car]!)
        for (let index = 0; index < waits.length; index++) {
          release[index] = from.release[at * waits.length + index]!
          if (waits[index]!.to === step && release[index]! > start) start = release[index]!
        }
        const minutes = start + instance.minutes[step]!
        const left = bound.without(from.left[at]!, step)
        const after = mask | (1 << step)
        if (bound.quick(left, step, minutes) >= limit) continue
        for (let index = 0; index < waits.length; index++) {
          const wait = waits[index]!
          if (wait.from === step) release[index] = minutes + wait.minutes
          // A release that lies behind holds nothing back; made equal, plans compare as what they are.
          if (release[index]! < minutes || (after & (1 << wait.to)) !== 0) release[index] = minutes
        }
        const place = next.placeFor(after, step, car, minutes, release)
        if (place === PartialPlans.BEATEN) continue
        const estimate = bound.full(left, after, step, car, minutes, release)
        if (estimate >= limit) continue
        next.put(place, { mask: after, last: step, car, minutes, parent: at, estimate, left }, release)
      }
    }
    layers.push(next)
  }
  return unwind(layers, count, known)
}

function unwind(layers: PartialPlans[], count: number, known: number): ExactResult {
  const final = layers[count]!
  if (final.size === 0) return { order: null, minutes: known, proven: true, lowerBoundMinutes: known }
  let best = 0
  for (let at = 1; at < final.size; at++) if (final.minutes[at]! < final.minutes[best]!) best = at
  const minutes = final.minutes[best]!
  const order = new Int32Array(count)
  for (let length = count, at = best; length > 0; length--) {
    order[length - 1] = layers[length]!.last[at]!
    at = layers[length]!.parent[at]!
  }
  return { order, minutes, proven: true, lowerBoundMinutes: minutes }
}
