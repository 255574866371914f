import type { Procedure } from '../packs/types'
import { bestOrder } from './best-order'
import type { Effort } from './best-order'
import { lowerBound } from './bounds/lower-bound'
import { brokenLinks } from './broken-links'
import { checkHours } from './calendar'
import type { Instance } from './instance'
import { jobInstance } from './job-instance'
import type { Past } from './job-instance'
import { timetable } from './timetable'
import { totalsOf } from './totals'
import { groupTrips } from './trips'
import type { Plan, PlanSetting, PlannedStep } from './types'

/** Walking, tool and washing minutes: common practice, no source. */
export const defaultSetting: PlanSetting = {
  walkMinutes: 1.5,
  toolMinutes: 0.4,
  washMinutes: 2,
  start: { place: 'top', car: 'ground' },
  helper: false,
  helperWindow: null,
  hours: null,
  startMinuteOfDay: 480,
  startWeekday: 1,
  arrivals: [],
  pins: [],
}

export interface PlanRequest {
  /** Steps done already; the plan goes on from there. */
  past?: Past
  /** Operations in an order to be timed as it stands, without a search. Steps done already may be left out. */
  order?: string[]
  /** What is known already of how short an order can be; else it is worked out. */
  bound?: { lowerBoundMinutes: number, proven: boolean }
  effort?: Effort
}

/** An order that cannot be worked off. */
export class OrderError extends Error {
  override name = 'OrderError'
  constructor(readonly stepId: string, readonly because: string) {
    super(`${stepId}: ${because}`)
  }
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
export function planJob(procedure: Procedure, setting: Partial<PlanSetting> = {}, { past, order, bound, effort }: PlanRequest = {}): Plan {
  const full = { ...defaultSetting, ...setting }
  for (const key of ['walkMinutes', 'toolMinutes', 'washMinutes'] as const) {
    if (!Number.isFinite(full[key]) || full[key] < 0) throw new RangeError(`setting.${key} is a number of minutes from 0 up, not ${full[key]}`)
  }
  if (full.hours) checkHours(full.hours)
  const { instance, droppedPins } = jobInstance(procedure, full, past ?? null)
  const best = order
    ? { order: indicesOf(procedure, instance, order), ...(bound ?? { lowerBoundMinutes: lowerBound(instance, BOUND_SETS).minutes, proven: false }) }
    : bestOrder(instance, droppedPins.length + full.pins.length > 0 ? [] : [authoredIndices(procedure, instance)], effort)
  const words = { procedure, setting: full }
  const firstMove = 1 + Math.max(0, ...(past?.steps ?? []).filter(step => step.kind !== 'operation').map(step => Number(step.id.split('-').at(-1)) || 0))
  const steps = [...past?.steps ?? [], ...timetable(instance, words, best.order, firstMove)]
  const whole = past || full.pins.length > 0 ? jobInstance(procedure, { ...full, pins: [] }, null).instance : instance
  return {
    order: steps.map(step => step.id),
    steps,
    trips: groupTrips(steps, procedure),
    totals: totalsOf(steps),
    authored: totalsOf(timetable(whole, words, procedure.operations.map((_, index) => index))),
    lowerBoundMinutes: best.lowerBoundMinutes,
    proven: best.proven,
    tools: toolsInOrder(steps, procedure),
    setting: full,
    droppedPins,
  }
}

function authoredIndices(procedure: Procedure, instance: Instance): number[] {
  const index = new Map(instance.ids.map((id, position) => [id, position]))
  return procedure.operations.flatMap(operation => index.get(operation.id) ?? [])
}

function indicesOf(procedure: Procedure, instance: Instance, order: string[]): number[] {
  const index = new Map(instance.ids.map((id, position) => [id, position]))
  const wanted = order.filter(id => index.has(id))
  const missing = instance.ids.find(id => !wanted.includes(id))
  if (missing !== undefined) throw new OrderError(missing, 'The order leaves this step out.')
  if (new Set(wanted).size < wanted.length) throw new OrderError(wanted.find((id, at) => wanted.indexOf(id) !== at)!, 'The order holds this step twice.')
  const [broken] = brokenLinks(wanted, procedure.links)
  if (broken) throw new OrderError(broken.after, broken.because)
  const parted = procedure.links.find(link => link.atOnce && wanted.includes(link.before) && wanted.indexOf(link.after) !== wanted.indexOf(link.before) + 1)
  if (parted) throw new OrderError(parted.after, parted.because)
  return wanted.map(id => index.get(id)!)
}

function toolsInOrder(steps: PlannedStep[], procedure: Procedure): string[] {
  const byId = new Map(procedure.operations.map(operation => [operation.id, operation.tools]))
  return [...new Set(steps.flatMap(step => step.kind === 'operation'
    ? byId.get(step.id) ?? []
    : procedure.positions[step.kind === 'raise' ? 'raised' : 'ground'].tools))]
}
