import type { Instance } from '../instance'
import { ancestorsOf, has, meets, turned } from '../step-set'
import { assign } from './assignment'
import type { Assignment } from './assignment'

/** Beyond any sum of set-up minutes of a day's work. */
const FORBIDDEN = 1e7

/** Whether step `b` may stand directly after step `a`. */
export type MayFollow = (a: number, b: number) => boolean

/**
 * Which step may stand directly after which: not one that must come before it,
 * nor one that is held apart from it by a third.
 */
export function mayFollow(instance: Instance): MayFollow {
  const { count } = instance
  const ancestors = ancestorsOf(count, instance.before, instance.topological)
  const descendants = turned(ancestors)
  const allowed = new Uint8Array(count * count)
  for (let a = 0; a < count; a++) {
    for (let b = 0; b < count; b++) {
      const apart = a === b || has(ancestors[a]!, b) || meets(descendants[a]!, ancestors[b]!)
      if (!apart) allowed[a * count + b] = 1
    }
  }
  return (a, b) => allowed[a * count + b] === 1
}

/**
 * The least set-up when every step is given one step to follow, each at most once, closed circles allowed.
 * Row `count` is the start, column `count` the end.
 * @param follows which step may stand directly after which, by {@link mayFollow}
 * @param cost minutes of getting ready for `b` after `a`; `a` below 0 is the start
 */
export function successionBound(
  instance: Instance,
  follows: MayFollow,
  cost: (a: number, b: number) => number,
): Assignment {
  const { count } = instance
  return assign(count + 1, (row, column) => {
    if (row === count) {
      if (column === count) return FORBIDDEN
      return instance.before[column]!.length > 0 ? FORBIDDEN : cost(-1, column)
    }
    if (column === count) return instance.after[row]!.length > 0 ? FORBIDDEN : 0
    return follows(row, column) ? cost(row, column) : FORBIDDEN
  })
}
