import type { LinkKind } from '../pack/kinds'
import type { Operation } from '../pack/operations'
import type { Procedure } from '../pack/pack'

/** Reasons that hold again whenever the part is to be reached; cleanliness and habit do not open anything. */
export const openingKinds: ReadonlySet<LinkKind> = new Set<LinkKind>(['physical', 'access', 'reaction', 'safety'])

/**
 * Ids of the steps that lie between a whole car and a part, there and back.
 *
 * There: what must come before the target for reasons that open something, as long as it takes something off or gives a fact
 * that is needed. Back: whatever clears the ledger of what those steps took off, and the steps of proving.
 */
export function stepsAgain(procedure: Procedure, targets: string[]): Set<string> {
  const byId = new Map(procedure.operations.map(operation => [operation.id, operation]))
  const again = new Set<string>()
  const reach = (id: string) => {
    const operation = byId.get(id)
    if (!operation || again.has(id)) return
    again.add(id)
    for (const link of procedure.links) {
      if (link.after === id && openingKinds.has(link.kind) && opensTheWay(byId.get(link.before))) reach(link.before)
    }
  }
  for (const target of targets) reach(target)
  if (again.size === 0) return again
  for (let grew = true; grew;) {
    const before = again.size
    closeUp(procedure, again)
    grew = again.size > before
  }
  for (const operation of procedure.operations)
    if (operation.phase === 'prove' || operation.phase === 'make-safe') again.add(operation.id)
  closeUp(procedure, again)
  return again
}

/** A step of the way in: it takes something off, or makes something true that is needed. */
export function opensTheWay(operation: Operation | undefined): boolean {
  if (!operation || operation.undoes !== undefined || operation.phase === 'refit') return false
  return Object.keys(operation.takesOff).length > 0 || operation.gives.length > 0 || operation.ends.length > 0
}

/** Adds what puts back what is off, what gives the facts that are needed, and what took off what is put back. */
function closeUp(procedure: Procedure, again: Set<string>): void {
  for (const operation of procedure.operations) {
    if (again.has(operation.id)) continue
    const within = procedure.operations.filter(other => again.has(other.id))
    const putsBack = Object.keys(operation.putsBack).some(item => within.some(other => item in other.takesOff))
    const tookOff = Object.keys(operation.takesOff).some(
      item => within.some(other => item in other.putsBack) && !within.some(other => item in other.takesOff),
    )
    const undoes = operation.undoes !== undefined && again.has(operation.undoes)
    const gives = operation.gives.some(
      fact => within.some(other => other.needs.includes(fact)) && !within.some(other => other.gives.includes(fact)),
    )
    if (putsBack || tookOff || undoes || gives) again.add(operation.id)
  }
}
