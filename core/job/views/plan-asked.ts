import type { Procedure } from '../../pack/pack'
import type { WorkingHours } from '../../sequence/calendar'
import type { Past } from '../../sequence/job-instance'
import type { PlanSetting } from '../../sequence/types'
import type { JobState } from '../chapters'
import { noCircumstances, planSetting } from '../chapters/plan/circumstances'
import type { Circumstances, PlanClock } from '../chapters/plan/circumstances'
import { pastOf } from '../chapters/plan/past'
import { pastWithin } from './option-differences'

/** What the planner is asked, with the circumstances and the clock that the plan is then read by. */
export interface PlanAsked {
  circumstances: Circumstances
  clock: PlanClock
  setting: Partial<PlanSetting>
  request: { past?: Past; order?: string[] }
}

interface Moment {
  /** ISO 8601. */
  at: string
  utcOffsetMinutes: number
}

/** How a garage works: when, `null` round the clock, and how many tools lie at hand. */
export interface GarageWay {
  hours: WorkingHours | null
  trayTools: number
}

/** The plan of a job that begins. */
export function openingAsked(procedure: Procedure, { hours, trayTools }: GarageWay, moment: Moment): PlanAsked {
  const circumstances: Circumstances = { ...noCircumstances, hours, ...(trayTools > 0 ? { trayTools } : {}) }
  const clock = { at: moment.at, minutes: 0, utcOffsetMinutes: moment.utcOffsetMinutes }
  return { circumstances, clock, setting: planSetting(circumstances, procedure.hands, clock), request: {} }
}

/**
 * The plan of a job that goes on another way, from the steps that are done.
 * @param procedure the work under the options wanted
 * @param order operations not yet done, in an order that was found already
 */
export function switchAsked(
  state: JobState,
  procedure: Procedure,
  circumstances: Circumstances,
  { at, utcOffsetMinutes }: Moment,
  order?: string[],
): PlanAsked {
  const past = pastOf(state)
  const clock = { at, minutes: past?.steps.at(-1)?.finishMinutes ?? 0, utcOffsetMinutes }
  return {
    circumstances,
    clock,
    setting: planSetting(circumstances, procedure.hands, clock),
    request: { ...(past ? { past: pastWithin(past, procedure) } : {}), ...(order ? { order } : {}) },
  }
}
