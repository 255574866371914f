import { phases } from '../pack/kinds'
import type { Link, Operation } from '../pack/operations'

/**
 * Operations in the order a person would write them down: by phase, then as they stand in the pack,
 * the refit backwards; moved only where a link demands it.
 * Returns fewer operations than it got when the links form a cycle.
 */
export function authoredOrder(operations: Operation[], links: Link[]): Operation[] {
  const position = new Map(operations.map((operation, index) => [operation.id, operation.undoes ? -index : index]))
  const wanted = [...operations].sort(
    (a, b) => phases.indexOf(a.phase) - phases.indexOf(b.phase) || position.get(a.id)! - position.get(b.id)!,
  )

  const missing = new Map(operations.map(operation => [operation.id, 0]))
  const following = new Map<string, string[]>()
  const directly = new Map(links.filter(link => link.atOnce).map(link => [link.before, link.after]))
  for (const link of [...links, ...broughtForward(links)]) {
    missing.set(link.after, missing.get(link.after)! + 1)
    const known = following.get(link.before)
    if (known) known.push(link.after)
    else following.set(link.before, [link.after])
  }
  const order: Operation[] = []
  const waiting = [...wanted]
  for (;;) {
    const bound = directly.get(order.at(-1)?.id ?? '')
    const index = waiting.findIndex(
      operation => missing.get(operation.id) === 0 && (bound === undefined || operation.id === bound),
    )
    if (index < 0) return order
    const [next] = waiting.splice(index, 1)
    order.push(next!)
    for (const id of following.get(next!.id) ?? []) missing.set(id, missing.get(id)! - 1)
  }
}

/** What must come before a step that follows another at once must come before that other one too. */
function broughtForward(links: Link[]): { before: string; after: string }[] {
  return links
    .filter(link => link.atOnce)
    .flatMap(pair =>
      links
        .filter(link => link.after === pair.after && link.before !== pair.before)
        .map(link => ({ before: link.before, after: pair.before })),
    )
}
