import { phases } from '../pack/kinds'
import type { Fact, Link, Operation } from '../pack/operations'
import { heightLinks } from './height-links'

const rank = (operation: Operation) => phases.indexOf(operation.phase)

/**
 * The links that a fact implies: a step that needs it comes after the step that gives it
 * and before the step that ends it. A fact that holds at the start, ends and comes back
 * is needed either before the end or after the return, by the phase of the step.
 * @param writtenBefore which steps the pack writes before one
 */
export function factLinks(fact: Fact, operations: Operation[], writtenBefore: (step: string) => Set<string>): Link[] {
  const givers = operations.filter(operation => operation.gives.includes(fact.id))
  const enders = operations.filter(operation => operation.ends.includes(fact.id))
  const link = (before: Operation, after: Operation): Link => ({
    before: before.id,
    after: after.id,
    kind: fact.kind,
    because: fact.because,
    waitMinutes: 0,
  })

  const needed = operations
    .filter(operation => operation.needs.includes(fact.id))
    .flatMap(operation => {
      if (!fact.initially) {
        return [
          ...givers.filter(giver => giver !== operation).map(giver => link(giver, operation)),
          ...enders.filter(ender => ender !== operation).map(ender => link(operation, ender)),
        ]
      }
      return enders.flatMap(ender => {
        if (ender === operation) return []
        if (rank(operation) <= rank(ender)) return [link(operation, ender)]
        return givers.filter(giver => giver !== operation).map(giver => link(giver, operation))
      })
    })
  if (!fact.carStays) return needed
  const because = `The car cannot change its height while this holds: ${fact.name}.`
  return [...needed, ...heightLinks({ stance: fact.carStays, because, givers, enders }, operations, writtenBefore)]
}
