import type { Procedure } from '../pack/pack'
import { bestOrder } from './best-order'
import type { Effort } from './best-order'
import { lowerBound } from './bounds/lower-bound'
import { jobInstance } from './job-instance'
import type { JobInstance, Past } from './job-instance'
import { fullSetting, indicesOf, writePlan } from './plan-in-order'
import type { Bound } from './plan-in-order'
import type { Plan, PlanSetting } from './types'

export interface PlanRequest {
  /** Steps done already; the plan goes on from there. */
  past?: Past | null
  /** Operations in an order to be timed as it stands, without a search. Steps done already may be left out. */
  order?: string[]
  effort?: Effort
}

/** Sets of steps that the bound looks at when there is no search. */
const BOUND_SETS = 4000

/**
 * Plans the work on one car for one mechanic: an order that respects every link and keeps walking,
 * raising and lowering, tool changes and idle waits low.
 *
 * @param procedure the work, from `expandPack`
 * @param setting the circumstances; what is left out takes the default
 * @returns times in minutes from the start of the job; an empty procedure gives an empty plan
 * @throws RangeError on a negative or non-finite time in the setting, or hours that leave no time
 * @throws OrderError when `order` leaves a step out, holds one twice or breaks a link
 */
export function planJob(
  procedure: Procedure,
  setting: Partial<PlanSetting> = {},
  { past = null, order, effort }: PlanRequest = {},
): Plan {
  const full = fullSetting(setting)
  const work = jobInstance(procedure, full, past)
  if (order) {
    const bound: Bound = { lowerBoundMinutes: lowerBound(work.instance, BOUND_SETS).minutes, proven: false }
    return writePlan(procedure, full, work, indicesOf(procedure, work.instance, order), bound, past)
  }
  const best = bestOrder(work.instance, full.pins.length > 0 ? [] : [authoredIndices(procedure, work)], effort)
  return writePlan(procedure, full, work, best.order, best, past)
}

function authoredIndices(procedure: Procedure, { instance }: JobInstance): number[] {
  const index = new Map(instance.ids.map((id, position) => [id, position]))
  return procedure.operations.flatMap(operation => index.get(operation.id) ?? [])
}
