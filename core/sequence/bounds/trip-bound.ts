import { EITHER } from '../instance'
import type { Instance } from '../instance'
import { add, emptySet, has, holdsAll, keyOf, setOf } from '../step-set'
import type { StepSet } from '../step-set'
import { chainCosts } from './chain-costs'
import { Heap } from '../heap'

/** A stay in a relaxed plan: where, the car's height, and the steps done in it. */
export interface Stay {
  place: number
  car: number
  steps: number[]
}

export interface TripBound {
  /** No order walks, raises and lowers for fewer minutes than this. */
  minutes: number
  /** The stays that reach it; `null` when the search gave up before the last of them. */
  stays: Stay[] | null
}

interface Node {
  done: StepSet
  left: number
  place: number
  car: number
  cost: number
  parent: Node | null
  steps: number[]
}

/**
 * The fewest minutes of walking, raising and lowering that any order needs, tools and waits left aside.
 *
 * Without tools and waits it never hurts to do at once everything that can be done here, so a plan is a list of stays:
 * the shortest list is found by A* over the sets of steps done, guided by the costliest chain of links still ahead.
 * @param budget how many sets are looked at before giving up; the bound is valid all the same
 */
export function tripBound(instance: Instance, budget: number): TripBound {
  const { count, walkMinutes, positionMinutes } = instance
  const needs = instance.before.map(list => setOf(count, list))
  const chains = chainCosts(instance)
  const estimate = (node: Node) => {
    let most = 0
    let elsewhere = 0
    const seen = new Set<number>([node.place])
    for (let step = 0; step < count; step++) {
      if (has(node.done, step)) continue
      const ahead = chains(step, node.place, node.car)
      if (ahead > most) most = ahead
      if (!seen.has(instance.place[step]!)) {
        seen.add(instance.place[step]!)
        elsewhere += walkMinutes
      }
    }
    return Math.max(most, elsewhere)
  }
  const stayAt = (parent: Node | null, place: number, car: number, cost: number): Node => {
    const done = parent ? parent.done.slice() : emptySet(count)
    const steps: number[] = []
    for (let position = 0; position < count; position++) {
      const step = instance.topological[position]!
      if (has(done, step) || instance.place[step] !== place) continue
      if (instance.car[step] !== EITHER && instance.car[step] !== car) continue
      if (!holdsAll(done, needs[step]!)) continue
      add(done, step)
      steps.push(step)
    }
    return { done, left: (parent?.left ?? count) - steps.length, place, car, cost, parent, steps }
  }

  const open = new Heap<Node>()
  const reached = new Map<string, number>()
  const first = stayAt(null, instance.startPlace, instance.startCar, 0)
  open.push(first, estimate(first))
  for (let looked = 0; open.size > 0; looked++) {
    const bound = open.leastRank()
    const node = open.pop()!
    if (node.left === 0) return { minutes: node.cost, stays: staysOf(node) }
    if (looked >= budget) return { minutes: bound, stays: null }
    if ((reached.get(nodeKey(node)) ?? Infinity) < node.cost) continue
    for (let place = 0; place < instance.placeCount; place++) {
      for (let car = 0; car < 2; car++) {
        if (place === node.place && car === node.car) continue
        const cost =
          node.cost + (place === node.place ? 0 : walkMinutes) + (car === node.car ? 0 : positionMinutes[car]!)
        const next = stayAt(node, place, car, cost)
        if (next.steps.length === 0) continue
        const key = nodeKey(next)
        if ((reached.get(key) ?? Infinity) <= cost) continue
        reached.set(key, cost)
        open.push(next, cost + estimate(next))
      }
    }
  }
  return { minutes: 0, stays: [] }
}

function nodeKey(node: Node): string {
  return keyOf(node.done) + String.fromCharCode(node.place * 2 + node.car)
}

function staysOf(last: Node): Stay[] {
  const stays: Stay[] = []
  for (let node: Node | null = last; node; node = node.parent)
    stays.unshift({ place: node.place, car: node.car, steps: node.steps })
  return stays
}
