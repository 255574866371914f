import type { Procedure } from '../pack/pack'
import type { Past } from './job-instance'
import { planJob } from './plan-job'
import { minutesUnder } from './slower'
import type { Plan, PlanSetting } from './types'

/** What a step takes longer because nobody helps. */
export interface AloneCost {
  stepId: string
  minutes: number
}

export interface HelperHour {
  /** Minutes of the plan from and to which a second pair of hands pays the most. */
  fromMinutes: number
  toMinutes: number
  savedMinutes: number
}

/** Starts of the helper's time that are planned through, the likeliest first. */
const TRIED = 3
const EFFORT = { moves: 3000 }
/** Less than a minute is nothing. */
const LEAST_SAVED = 0.5

/**
 * What each step of a plan takes longer alone, the costliest first.
 * @param done steps that are done
 */
export function aloneCosts(procedure: Procedure, plan: Plan, done: ReadonlySet<string>): AloneCost[] {
  const operations = new Map(procedure.operations.map(operation => [operation.id, operation]))
  return plan.steps
    .filter(step => step.shortHanded && !done.has(step.id))
    .map(({ id }) => {
      const [, likely, high] = minutesUnder(procedure, operations.get(id)!, plan.setting)
      return { stepId: id, minutes: high - likely }
    })
    .sort((a, b) => b.minutes - a.minutes)
}

/**
 * When a second pair of hands should come for a while, and what that saves: the times at which the most two-handed work lies close together
 * are planned through.
 * @param setting circumstances without a helper; `order` holds the operations, those done already may be left out
 * @param minutes how long they stay
 * @returns minutes on the axis of the setting; `null` where no such work is left, or nothing is saved
 */
export function helperHour(
  procedure: Procedure,
  setting: Partial<PlanSetting>,
  order: string[],
  past: Past | null = null,
  minutes = 60,
): HelperHour | null {
  const request = past ? { past } : {}
  const alone = planJob(procedure, setting, { ...request, order })
  const costs = new Map(
    aloneCosts(procedure, alone, new Set(past?.steps.map(step => step.id))).map(cost => [cost.stepId, cost.minutes]),
  )
  const wanting = alone.steps.filter(step => costs.has(step.id))
  const gain = (from: number) =>
    wanting
      .filter(
        step => step.startMinutes >= from - 1e-6 && step.finishMinutes - costs.get(step.id)! <= from + minutes + 1e-6,
      )
      .reduce((sum, step) => sum + costs.get(step.id)!, 0)
  const tried = wanting
    .map(step => step.startMinutes)
    .sort((a, b) => gain(b) - gain(a))
    .slice(0, TRIED)
  const hours = tried.map((fromMinutes): HelperHour => {
    const toMinutes = fromMinutes + minutes
    const helped = { ...setting, helperWindow: { fromMinutes, toMinutes } }
    const found = [
      planJob(procedure, helped, { ...request, order }),
      planJob(procedure, helped, { ...request, effort: EFFORT }),
    ]
    const savedMinutes = alone.totals.minutes - Math.min(...found.map(other => other.totals.minutes))
    return { fromMinutes, toMinutes, savedMinutes }
  })
  const [best] = hours.sort((a, b) => b.savedMinutes - a.savedMinutes)
  return best && best.savedMinutes > LEAST_SAVED ? best : null
}
