import type { InstanceLink, InstanceStep } from './instance'
import { topologicalOrder } from './topological-order'

export interface CriticalPath {
  /** Step ids along the longest chain of links, waits counted. */
  ids: string[]
  /** Its length: however many hands there are, the work takes no less. */
  minutes: number
}

/**
 * The longest chain of steps that must follow one another, walking and tools left aside.
 * Critical path method, Kelley and Walker 1959; from memory.
 * @throws CycleError when the links form a cycle
 */
export function criticalPath(steps: Pick<InstanceStep, 'id' | 'minutes'>[], links: InstanceLink[]): CriticalPath {
  const index = new Map(steps.map((step, position) => [step.id, position]))
  const known = links.filter(link => index.has(link.before) && index.has(link.after))
  const after: number[][] = steps.map(() => [])
  for (const link of known) after[index.get(link.before)!]!.push(index.get(link.after)!)
  const finish = new Float64Array(steps.length)
  const cause = new Int32Array(steps.length).fill(-1)
  const into: { from: number; wait: number }[][] = steps.map(() => [])
  for (const link of known)
    into[index.get(link.after)!]!.push({ from: index.get(link.before)!, wait: link.waitMinutes ?? 0 })
  for (const step of topologicalOrder(
    steps.map(each => each.id),
    after,
  )) {
    let start = 0
    for (const { from, wait } of into[step]!) {
      if (finish[from]! + wait > start) {
        start = finish[from]! + wait
        cause[step] = from
      }
    }
    finish[step] = start + steps[step]!.minutes
  }
  const minutes = Math.max(0, ...finish)
  const ids: string[] = []
  for (let step = finish.indexOf(minutes); step >= 0; step = cause[step]!) ids.unshift(steps[step]!.id)
  return { ids, minutes }
}
