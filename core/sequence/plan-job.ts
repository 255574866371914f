import type { Procedure } from '../pack/pack'
import { bestOrder } from './best-order'
import type { Effort } from './best-order'
import { lowerBound } from './bounds/lower-bound'
import { jobInstance } from './job-instance'
import type { JobInstance, Past } from './job-instance'
import { fullSetting, indicesOf, writePlan } from './plan-in-order'
import type { Bound } from './plan-in-order'
import { proveOrder } from './proof/prove-order'
import type { ProofEffort } from './proof/prove-order'
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
  const full = fullSetting(procedure, setting)
  const work = jobInstance(procedure, full, past)
  if (order) {
    const bound: Bound = { lowerBoundMinutes: lowerBound(work.instance, BOUND_SETS).minutes, proven: false }
    return writePlan(procedure, full, work, indicesOf(procedure, work.instance, order), bound, past)
  }
  const best = bestOrder(work.instance, full.pins.length > 0 ? [] : [authoredIndices(procedure, work)], effort)
  return writePlan(procedure, full, work, best.order, best, past)
}

/** What is to be proven: an order under its circumstances, and what is known of the shortest one. */
export interface ProofRequest {
  order: string[]
  past?: Past | null
  lowerBoundMinutes?: number
  effort?: ProofEffort
}

/**
 * Proves how good an order is, or finds a shorter one; takes up to a minute or two of a processor.
 * @param request `order` holds operations; those done already may be left out
 * @returns the plan of that order with what is proven of it; or a shorter one
 * @throws OrderError when `order` leaves a step out, holds one twice or breaks a link
 */
export function provePlan(
  procedure: Procedure,
  setting: Partial<PlanSetting>,
  { order, past = null, lowerBoundMinutes = 0, effort }: ProofRequest,
): Plan {
  const full = fullSetting(procedure, setting)
  const work = jobInstance(procedure, full, past)
  const indices = indicesOf(procedure, work.instance, order)
  const proof = proveOrder(work.instance, indices, lowerBoundMinutes, effort)
  const plan = writePlan(procedure, full, work, proof.order ?? indices, { ...proof, proven: false }, past)
  return { ...plan, proven: plan.totals.minutes <= proof.lowerBoundMinutes + 1e-6 }
}

function authoredIndices(procedure: Procedure, { instance }: JobInstance): number[] {
  const index = new Map(instance.ids.map((id, position) => [id, position]))
  return procedure.operations.flatMap(operation => index.get(operation.id) ?? [])
}
