import { byId } from '../../../base/by-id'
import type { Link } from '../../../pack/operations'
import type { Procedure } from '../../../pack/pack'
import type { JobState } from '../../chapters'
import { hangingNow } from '../../views/holding'

type Bond = Pick<Link, 'before' | 'after' | 'atOnce'>

/**
 * The procedure in which what hangs is held before anything else is done. A car that comes apart may hang by what others left; its own plan
 * holds it before it lets go, and that moment is over.
 */
export function withHeldFirst(state: JobState): Procedure {
  const procedure = state.procedure!
  const left = procedure.operations.filter(({ id }) => !state.done[id])
  const holders = hangingNow(state).flatMap(({ loadId, hangs }) => {
    const props = byId(procedure.loads!, loadId)!.heldBy.flatMap(({ prop }) => prop ?? [])
    return left
      .filter(({ takesOff }) => props.some(prop => takesOff[prop]))
      .map(({ id }) => ({ id, because: `${hangs} It is held before anything else is done.` }))
  })
  const pinnedFirst = state.circumstances.pins.flatMap(({ after, stepId }) => (after === null ? stepId : []))
  const sooner = neededFor([...holders.map(({ id }) => id), ...pinnedFirst], bondsOf(state))
  const links = holders.flatMap(({ id: before, because }) =>
    left
      .filter(({ id }) => !sooner.has(id))
      .map(({ id: after }): Link => ({ before, after, kind: 'safety', because, waitMinutes: 0 })),
  )
  return links.length > 0 ? { ...procedure, links: [...procedure.links, ...links] } : procedure
}

/** What ties steps to each other: the links of the work, and the pins of the mechanic. */
export const bondsOf = ({ procedure, circumstances }: JobState): Bond[] => [
  ...procedure!.links,
  ...circumstances.pins.flatMap(({ after, stepId }) =>
    after === null ? [] : { before: after, after: stepId, atOnce: true },
  ),
]

/** These steps with all that comes before them, whatever the reason, and what follows at once on any of it. */
function neededFor(steps: string[], bonds: Bond[]): Set<string> {
  const found = new Set(steps)
  const open = [...steps]
  for (let id = open.pop(); id !== undefined; id = open.pop())
    for (const other of bonds.flatMap(({ before, after, atOnce }) =>
      after === id ? before : atOnce && before === id ? after : [],
    ))
      if (!found.has(other)) {
        found.add(other)
        open.push(other)
      }
  return found
}

/** An order in which these bonds hold: what has to come first is brought forward, all else stays as it was. */
export function inOrderOf(order: readonly string[], bonds: Bond[]): string[] {
  const here = new Set(order)
  const before = new Map<string, string[]>()
  for (const bond of bonds)
    if (here.has(bond.before)) before.set(bond.after, [...(before.get(bond.after) ?? []), bond.before])
  const follower = new Map(bonds.filter(({ atOnce }) => atOnce).map(bond => [bond.before, bond.after]))
  const waiting = [...order]
  const placed = new Set<string>()
  const result: string[] = []
  const isReady = (id: string) => (before.get(id) ?? []).every(first => placed.has(first))
  while (waiting.length > 0) {
    const next = follower.get(result.at(-1) ?? '') ?? ''
    const index = waiting.includes(next) ? waiting.indexOf(next) : waiting.findIndex(isReady)
    if (index < 0) return [...order]
    const [id] = waiting.splice(index, 1) as [string]
    placed.add(id)
    result.push(id)
  }
  return result
}
