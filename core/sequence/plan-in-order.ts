import type { Procedure } from '../pack/pack'
import { homeOf, positionTo, bayOf } from '../pack/bay'
import { brokenLinks } from './broken-links'
import { checkHours } from './calendar'
import { jobInstance } from './job-instance'
import type { JobInstance, Past } from './job-instance'
import { timetable } from './timetable'
import { totalsOf } from './totals'
import { groupTrips } from './trips'
import type { Plan, PlanSetting, PlannedStep } from './types'

/** The circumstances of a job of which nothing is said; its bay says where it begins and how long walking takes. */
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

/** An order that cannot be worked off. */
export class OrderError extends Error {
  override name = 'OrderError'
  constructor(
    readonly stepId: string,
    readonly because: string,
  ) {
    super(`${stepId}: ${because}`)
  }
}

/** What is known of how short an order can be. */
export interface Bound {
  lowerBoundMinutes: number
  proven: boolean
}

/** The setting with its defaults, those of the procedure's bay among them. @throws RangeError on a time that is none, or hours that leave no time */
export function fullSetting(procedure: Procedure, setting: Partial<PlanSetting>): PlanSetting {
  const { places, setup } = bayOf(procedure)
  const start = { place: places[0]!.id, car: homeOf(procedure) }
  const full = { ...defaultSetting, ...setup, start, ...setting }
  for (const key of ['walkMinutes', 'toolMinutes', 'washMinutes'] as const) {
    if (!Number.isFinite(full[key]) || full[key] < 0)
      throw new RangeError(`setting.${key} is a number of minutes from 0 up, not ${full[key]}`)
  }
  if (full.hours) checkHours(full.hours)
  return full
}

/**
 * Times an order of operations as it stands, without a search.
 * @param order operations in the order to be done; those done already may be left out
 * @throws RangeError on a setting that cannot be
 * @throws OrderError when the order leaves a step out, holds one twice or breaks a link
 */
export function planInOrder(
  procedure: Procedure,
  setting: Partial<PlanSetting>,
  order: string[],
  bound: Bound,
  past: Past | null = null,
): Plan {
  const full = fullSetting(procedure, setting)
  const work = jobInstance(procedure, full, past)
  return writePlan(procedure, full, work, indicesOf(procedure, work.instance, order), bound, past)
}

/** Writes an order out as a plan, with what it adds up to. */
export function writePlan(
  procedure: Procedure,
  setting: PlanSetting,
  { instance, droppedPins }: JobInstance,
  order: ArrayLike<number>,
  bound: Bound,
  past: Past | null,
): Plan {
  const words = { procedure, setting }
  const firstMove =
    1 +
    Math.max(
      0,
      ...(past?.steps ?? [])
        .filter(step => step.kind !== 'operation')
        .map(step => Number(step.id.split('-').at(-1)) || 0),
    )
  const steps = [...(past?.steps ?? []), ...timetable(instance, words, order, firstMove)]
  const whole =
    past || setting.pins.length > 0 ? jobInstance(procedure, { ...setting, pins: [] }, null).instance : instance
  return {
    order: steps.map(step => step.id),
    steps,
    trips: groupTrips(steps, procedure),
    totals: totalsOf(steps),
    authored: totalsOf(
      timetable(
        whole,
        words,
        procedure.operations.map((_, index) => index),
      ),
    ),
    lowerBoundMinutes: bound.lowerBoundMinutes,
    proven: bound.proven,
    tools: toolsInOrder(steps, procedure),
    setting,
    droppedPins,
  }
}

export function indicesOf(procedure: Procedure, instance: JobInstance['instance'], order: string[]): number[] {
  const index = new Map(instance.ids.map((id, position) => [id, position]))
  const wanted = order.filter(id => index.has(id))
  const missing = instance.ids.find(id => !wanted.includes(id))
  if (missing !== undefined) throw new OrderError(missing, 'The order leaves this step out.')
  if (new Set(wanted).size < wanted.length)
    throw new OrderError(
      wanted.find((id, at) => wanted.indexOf(id) !== at)!,
      'The order holds this step twice.',
    )
  const [broken] = brokenLinks(wanted, procedure.links)
  if (broken) throw new OrderError(broken.after, broken.because)
  const parted = procedure.links.find(
    link =>
      link.atOnce && wanted.includes(link.before) && wanted.indexOf(link.after) !== wanted.indexOf(link.before) + 1,
  )
  if (parted) throw new OrderError(parted.after, parted.because)
  return wanted.map(id => index.get(id)!)
}

function toolsInOrder(steps: PlannedStep[], procedure: Procedure): string[] {
  const byId = new Map(procedure.operations.map(operation => [operation.id, operation.tools]))
  return [
    ...new Set(
      steps.flatMap(step =>
        step.kind === 'operation'
          ? (byId.get(step.id) ?? [])
          : positionTo(procedure, step.kind === 'raise' ? 'away' : 'home').tools,
      ),
    ),
  ]
}
