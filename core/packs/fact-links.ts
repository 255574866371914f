import { EITHER_POSITION, phases } from '../pack/kinds'
import type { Fact, Link, Operation } from '../pack/operations'

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
  return [...needed, ...heightLinks(fact, givers, enders, operations, writtenBefore)]
}

/** While the fact holds the car keeps its height: work at the other height comes before it is given or after it is ended. */
function heightLinks(
  fact: Fact,
  givers: Operation[],
  enders: Operation[],
  operations: Operation[],
  writtenBefore: (step: string) => Set<string>,
): Link[] {
  if (!fact.carStays) return []
  const because = `The car cannot change its height while this holds: ${fact.name}.`
  const link = (before: Operation, after: Operation): Link => ({
    before: before.id,
    after: after.id,
    kind: 'safety',
    because,
    waitMinutes: 0,
  })
  const earlier = new Set(givers.flatMap(giver => [...writtenBefore(giver.id)]))
  return operations
    .filter(operation => operation.car !== EITHER_POSITION && operation.car !== fact.carStays)
    .flatMap(operation =>
      rank(operation) <= phases.indexOf('strip') || earlier.has(operation.id)
        ? givers.map(giver => link(operation, giver))
        : enders.map(ender => link(ender, operation)),
    )
}
