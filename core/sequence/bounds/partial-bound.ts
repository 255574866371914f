import { EITHER, toolsToFetch } from '../instance'
import type { Instance } from '../instance'
import { chainCosts } from './chain-costs'
import { successionBound } from './succession'

/** More places than this and the walking of the steps left is bounded by chains of links alone. */
const MOST_PLACES = 16

/** Bounds on the finish of every plan that goes on from a partial one. At most 30 steps. */
export interface PartialBound {
  /** What is kept about the steps left when nothing is done: work, price of tools, price of all set-up. */
  whole: number[]
  without: (left: number[], step: number) => number[]
  /** A bound from prices alone. */
  quick: (left: number[], last: number, minutes: number) => number
  /** The best bound there is. */
  full: (left: number[], mask: number, last: number, car: number, minutes: number, release: Float64Array) => number
}

export function partialBound(instance: Instance, waits: { to: number }[]): PartialBound {
  const { count, readyMinutes } = instance
  const tools = successionBound(instance, (a, b) => toolsToFetch(instance, a, b) * instance.toolMinutes)
  const joint = successionBound(instance, (a, b) => readyMinutes[(a < 0 ? count : a) * count + b]!)
  const toolPrice = Float64Array.from({ length: count }, (_, step) => tools.rows[step]! + tools.columns[step]!)
  const jointPrice = Float64Array.from({ length: count }, (_, step) => joint.rows[step]! + joint.columns[step]!)
  const sum = (values: Float64Array) => values.reduce((total, value) => total + value, 0)
  const tails = tailMinutes(instance)
  const walking = walkingBound(instance)

  return {
    whole: [sum(instance.minutes), sum(toolPrice), sum(jointPrice)],
    without: (left, step) => [
      left[0]! - instance.minutes[step]!,
      left[1]! - toolPrice[step]!,
      left[2]! - jointPrice[step]!,
    ],
    quick: (left, last, minutes) =>
      minutes + left[0]! + Math.max(0, left[2]! + joint.rows[last]! + joint.columns[count]!),
    full: (left, mask, last, car, minutes, release) => {
      const fetching = Math.max(0, left[1]! + tools.rows[last]! + tools.columns[count]!)
      const setup = Math.max(
        left[2]! + joint.rows[last]! + joint.columns[count]!,
        fetching + walking(mask, instance.place[last]!, car),
      )
      let bound = minutes + left[0]! + setup
      for (let index = 0; index < waits.length; index++) {
        const { to } = waits[index]!
        if ((mask & (1 << to)) === 0 && release[index]! + tails[to]! > bound) bound = release[index]! + tails[to]!
      }
      return bound
    },
  }
}

/** Fewest minutes of walking and lifting for the steps not in `mask`, tools and waits left aside; see `tripBound`. */
function walkingBound(instance: Instance): (mask: number, place: number, car: number) => number {
  const { count, placeCount, walkMinutes, positionMinutes } = instance
  if (placeCount > MOST_PLACES) {
    const chains = chainCosts(instance)
    return (mask, place, car) => {
      let most = 0
      for (let step = 0; step < count; step++)
        if ((mask & (1 << step)) === 0) most = Math.max(most, chains(step, place, car))
      return most
    }
  }
  const all = 2 ** count - 1
  const needs = instance.before.map(list => list.reduce((mask, step) => mask | (1 << step), 0))
  const doable = new Int32Array(placeCount * 2)
  for (let step = 0; step < count; step++) {
    for (let car = 0; car < 2; car++) {
      if (instance.car[step] === EITHER || instance.car[step] === car)
        doable[instance.place[step]! * 2 + car]! |= 1 << step
    }
  }
  /** The steps done after everything that can be done at this place with the car at this height. */
  const close = (mask: number, stay: number): number => {
    let done = mask
    for (let changed = true; changed;) {
      changed = false
      for (let rest = doable[stay]! & ~done; rest !== 0; rest &= rest - 1) {
        const step = 31 - Math.clz32(rest & -rest)
        if ((needs[step]! & ~done) !== 0) continue
        done |= 1 << step
        changed = true
      }
    }
    return done
  }
  const known = new Map<number, number>()
  const least = (mask: number, place: number, car: number): number => {
    const done = close(mask, place * 2 + car)
    if (done === all) return 0
    const key = (done * MOST_PLACES + place) * 2 + car
    const remembered = known.get(key)
    if (remembered !== undefined) return remembered
    let minutes = Infinity
    for (let other = 0; other < placeCount; other++) {
      for (let height = 0; height < 2; height++) {
        if (other === place && height === car) continue
        if (close(done, other * 2 + height) === done) continue
        const cost = (other === place ? 0 : walkMinutes) + (height === car ? 0 : positionMinutes[height]!)
        minutes = Math.min(minutes, cost + least(done, other, height))
      }
    }
    known.set(key, minutes)
    return minutes
  }
  return least
}

/** Minutes of each step and of everything that must come after it. */
function tailMinutes(instance: Instance): Float64Array {
  const { count } = instance
  const after = new Int32Array(count)
  for (let position = count - 1; position >= 0; position--) {
    const step = instance.topological[position]!
    for (const next of instance.after[step]!) after[step]! |= after[next]! | (1 << next)
  }
  return Float64Array.from(instance.minutes, (minutes, step) =>
    instance.minutes.reduce(
      (total, other, index) => total + ((after[step]! & (1 << index)) !== 0 ? other : 0),
      minutes,
    ),
  )
}
