import type { Procedure } from '../../pack/pack'
import { operationOrder } from '../../sequence/move-step'
import { OrderError, planInOrder } from '../../sequence/plan-in-order'
import type { JobState } from '../chapters'
import { putInOrder } from '../chapters/unforeseen/put-in-order'
import type { PlanAsked } from './plan-asked'

/**
 * The order that a job is in, with the work that another way brings put into it: who has begun is not sent elsewhere because a part is renewed.
 * The new steps stand each as early as they can, or each as late, whichever is done sooner.
 * @returns operations not yet done; `null` where the order cannot be kept
 */
export function orderKept(
  { plan, done, circumstances: { pins } }: JobState,
  procedure: Procedure,
  { setting, request }: Pick<PlanAsked, 'setting' | 'request'>,
): string[] | null {
  const left = procedure.operations.filter(({ id }) => !done[id]).map(({ id }) => id)
  const there = new Set(left)
  const kept = operationOrder(plan!).filter(id => there.has(id))
  const known = new Set(kept)
  const fresh = left.filter(id => !known.has(id))
  const { links } = procedure
  const tried = [false, true].flatMap(late => {
    try {
      // The last first where they stand late, so that each stands before the next.
      const order = (late ? fresh.toReversed() : fresh).reduce(
        (sofar, id) => putInOrder(sofar, id, { links, pins, late }),
        kept,
      )
      const bound = { lowerBoundMinutes: 0, proven: false }
      const { totals } = planInOrder(procedure, setting, order, bound, request.past ?? null)
      return [{ order, minutes: totals.minutes }]
    } catch (error) {
      if (error instanceof OrderError) return []
      throw error
    }
  })
  return tried.sort((a, b) => a.minutes - b.minutes)[0]?.order ?? null
}
