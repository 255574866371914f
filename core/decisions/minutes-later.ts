import { stepsAgain } from './steps-again'
import type { Operation } from '../pack/operations'
import type { Procedure } from '../pack/pack'
import { planInOrder } from '../sequence/plan-in-order'

export interface ComingBack {
  /** Steps that would have to be done again, in their order. */
  operations: Operation[]
  /** Their work with walking, raising, tools and waits. */
  minutes: number
}

/**
 * What it would take to come back for one part: every step of this very plan that lies between a whole car and that part,
 * there and back, with what proves it afterwards.
 * @param targets ids of the steps that reach the part; those that this procedure lacks are passed over
 * @returns `null` where the procedure holds none of them
 */
export function minutesLater(procedure: Procedure, targets: string[]): ComingBack | null {
  const again = stepsAgain(procedure, targets)
  if (again.size === 0) return null
  const operations = procedure.operations
    .filter(operation => again.has(operation.id))
    .map(operation => ({ ...operation, parts: {} }))
  const links = procedure.links
    .filter(link => again.has(link.before) && again.has(link.after))
    .map(({ atOnce: _atOnce, ...link }) => link)
  const alone = { ...procedure, operations, links }
  const plan = planInOrder(
    alone,
    { helper: procedure.hands === 2 },
    operations.map(operation => operation.id),
    { lowerBoundMinutes: 0, proven: false },
  )
  return { operations, minutes: plan.totals.minutes }
}
