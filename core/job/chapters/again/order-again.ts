import type { Link } from '../../../pack/operations'
import { anewId, awayId, fetchId } from './with-again'
import type { ApartAgain } from './with-again'

/**
 * What is left in its new order: first what comes apart, then the way there, then all that does not wait for it, then the rest as it was.
 * @param left ids of the steps left, those that are repeated among them, in the order they had
 */
export function orderAgain(
  left: readonly string[],
  { againId, stepId, opens, repeats }: ApartAgain,
  links: readonly Link[],
  has: (id: string) => boolean,
): string[] {
  const own = opens.map(id => anewId(againId, id)).filter(has)
  const away = [awayId(againId)].filter(has)
  const fetch = [fetchId(againId)].filter(has)
  const placed = new Set([...own, ...away, ...fetch])
  const rest = left.filter(id => !placed.has(id))
  const waits = behind([...fetch, stepId, ...repeats], links, rest)
  const order = [...own, ...away, ...rest.filter(id => !waits.has(id)), ...fetch, ...rest.filter(id => waits.has(id))]
  return inBlocks(order, links)
}

/** These steps, whatever comes after them, and whatever one of those follows on at once. */
function behind(ids: string[], links: readonly Link[], left: readonly string[]): Set<string> {
  const there = new Set(left)
  const found = new Set(ids)
  for (let before = -1; before !== found.size;) {
    before = found.size
    for (const link of links) {
      if (found.has(link.before) && there.has(link.after)) found.add(link.after)
      if (link.atOnce && found.has(link.after) && there.has(link.before)) found.add(link.before)
    }
  }
  return found
}

/** An order that keeps the links and parts nothing that follows at once, as near to the one given as that allows. */
function inBlocks(order: readonly string[], links: readonly Link[]): string[] {
  const there = new Set(order)
  const own = links.filter(({ before, after }) => there.has(before) && there.has(after))
  const next = new Map(own.filter(({ atOnce }) => atOnce).map(({ before, after }) => [before, after]))
  const followers = new Set(next.values())
  const blocks = order.filter(id => !followers.has(id)).map(id => chain(id, next))
  const blockOf = new Map(blocks.flatMap(block => block.map(id => [id, block] as const)))
  const waits = new Map(blocks.map(block => [block, new Set<string[]>()]))
  for (const { before, after } of own) {
    const [first, then] = [blockOf.get(before)!, blockOf.get(after)!]
    if (first !== then) waits.get(then)!.add(first)
  }
  const left = new Set(blocks)
  const result: string[] = []
  while (left.size > 0) {
    const [given] = left
    const free = [...left].find(block => [...waits.get(block)!].every(before => !left.has(before))) ?? given!
    left.delete(free)
    result.push(...free)
  }
  return result
}

function chain(id: string, next: ReadonlyMap<string, string>): string[] {
  const after = next.get(id)
  return after === undefined ? [id] : [id, ...chain(after, next)]
}
