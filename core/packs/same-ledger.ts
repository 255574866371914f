import type { Operation } from '../pack/operations'

type Ledgered = Pick<Operation, 'takesOff' | 'putsBack'>

/** Whether two operations take the same things off and put the same things back, in whatever order they are written. */
export function sameLedger(one: Ledgered, other: Ledgered): boolean {
  return sameCounts(one.takesOff, other.takesOff) && sameCounts(one.putsBack, other.putsBack)
}

function sameCounts(one: Record<string, number>, other: Record<string, number>): boolean {
  const items = Object.keys(one)
  return items.length === Object.keys(other).length && items.every(item => one[item] === other[item])
}
