import type { Instance } from '../instance'
import { ancestorsOf, has } from '../step-set'
import type { StepSet } from '../step-set'
import { assign } from './assignment'
import type { Assignment } from './assignment'

/** Beyond any sum of set-up minutes of a day's work. */
const FORBIDDEN = 1e7

/**
 * Which step may stand directly after which: not one that must come before it,
 * nor one that is held apart from it by a third.
 */
export function mayFollow(instance: Instance, ancestors: StepSet[]): (a: number, b: number) => boolean {
  const { count } = instance
  const allowed = new Uint8Array(count * count)
  for (let a = 0; a < count; a++) {
    for (let b = 0; b < count; b++) {
      if (a === b || has(ancestors[a]!, b)) continue
      if (has(ancestors[b]!, a)) {
        let between = false
        for (let middle = 0; middle < count && !between; middle++)
          between = has(ancestors[b]!, middle) && has(ancestors[middle]!, a)
        if (between) continue
      }
      allowed[a * count + b] = 1
    }
  }
  return (a, b) => allowed[a * count + b] === 1
}

/**
 * The least set-up when every step is given one step to follow, each at most once, closed circles allowed.
 * Row `count` is the start, column `count` the end.
 * @param cost minutes of getting ready for `b` after `a`; `a` below 0 is the start
 */
export function successionBound(instance: Instance, cost: (a: number, b: number) => number): Assignment {
  const { count } = instance
  const follows = mayFollow(instance, ancestorsOf(count, instance.before, instance.topological))
  return assign(count + 1, (row, column) => {
    if (row === count) {
      if (column === count) return FORBIDDEN
      return instance.before[column]!.length > 0 ? FORBIDDEN : cost(-1, column)
    }
    if (column === count) return instance.after[row]!.length > 0 ? FORBIDDEN : 0
    return follows(row, column) ? cost(row, column) : FORBIDDEN
  })
}
