import { pastOf, planSetting } from '../../core/job'
import type { Circumstances, PlanClock } from '../../core/job'
import type { Past, PlanSetting } from '../../core/sequence'
import { nowIso } from '../device/clock'
import { utcOffsetMinutes } from '../words/utc-offset'

/** Where the job stands, for a plan that goes on from here: what is done, and circumstances on an axis of the plan's minutes. */
export interface PlanStands {
  past: Past | null
  clock: PlanClock
  setting: Partial<PlanSetting>
}

export function usePlanStands() {
  const { state } = useJob()

  /** The job as it stands now. @param circumstances those of the job where they are left out */
  function stands(circumstances: Circumstances = state.value.circumstances): PlanStands {
    const past = pastOf(state.value)
    const minutes = past?.steps.at(-1)?.finishMinutes ?? 0
    const clock = { at: nowIso(), utcOffsetMinutes: utcOffsetMinutes(), minutes }
    return { past, clock, setting: planSetting(circumstances, state.value.procedure!.hands, clock) }
  }

  /** The same, but a plan of which nothing is done yet begins when it was to begin. */
  function asPlanned(): PlanStands {
    const now = stands()
    const { clock } = state.value
    if (now.past || !clock) return now
    return { ...now, clock, setting: planSetting(state.value.circumstances, state.value.procedure!.hands, clock) }
  }
  return { stands, asPlanned }
}
