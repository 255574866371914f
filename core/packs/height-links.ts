import { EITHER_POSITION, phases } from '../pack/kinds'
import type { CarPosition } from '../pack/kinds'
import type { Link, Operation } from '../pack/operations'

const rank = (operation: Operation) => phases.indexOf(operation.phase)

/** What keeps the car at one height from the steps that begin it to those that end it. */
export interface HeightKept {
  stance: CarPosition
  because: string
  givers: Operation[]
  enders: Operation[]
}

/**
 * Work at the other height comes before the car is kept at this one, or after it is free again.
 * @param writtenBefore which steps the pack writes before one
 */
export function heightLinks(
  { stance, because, givers, enders }: HeightKept,
  operations: Operation[],
  writtenBefore: (step: string) => Set<string>,
): Link[] {
  const link = (before: Operation, after: Operation): Link => ({
    before: before.id,
    after: after.id,
    kind: 'safety',
    because,
    waitMinutes: 0,
  })
  const earlier = new Set(givers.flatMap(giver => [...writtenBefore(giver.id)]))
  return operations
    .filter(operation => operation.car !== EITHER_POSITION && operation.car !== stance)
    .flatMap(operation =>
      rank(operation) <= phases.indexOf('strip') || earlier.has(operation.id)
        ? givers.map(giver => link(operation, giver))
        : enders.map(ender => link(ender, operation)),
    )
}
