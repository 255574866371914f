import { findCycle } from '../base/find-cycle'

/** Links that lead back to where they began. `cycle` holds the ids along it, the first one again at the end. */
export class CycleError extends Error {
  override name = 'CycleError'
  constructor(readonly cycle: string[]) {
    super(`the links form a cycle: ${cycle.join(' → ')}`)
  }
}

/**
 * Steps sorted so that every link points forward; among those free, the one written first.
 * @param after for each step the indices of the steps that come after it
 * @throws CycleError
 */
export function topologicalOrder(ids: string[], after: ArrayLike<number>[]): Int32Array {
  const missing = new Int32Array(ids.length)
  for (const list of after) for (const next of Array.from(list)) missing[next]!++
  const order: number[] = []
  const free: number[] = []
  for (let step = ids.length - 1; step >= 0; step--) if (missing[step] === 0) free.push(step)
  while (free.length > 0) {
    const step = free.pop()!
    order.push(step)
    const opened = Array.from(after[step]!).filter(next => --missing[next]! === 0)
    free.push(...opened.sort((a, b) => b - a))
  }
  if (order.length < ids.length) {
    const links = after.flatMap((list, from) => Array.from(list, to => ({ before: ids[from]!, after: ids[to]! })))
    throw new CycleError(findCycle(ids, links)!)
  }
  return Int32Array.from(order)
}
