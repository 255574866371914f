import { stepMinutes } from '../../sequence/step-minutes'
import type { JobState } from '../chapters'
import { stretchSeconds } from '../chapters/steps/timers'
import { ladderMinutes } from './ladders'

/**
 * Minutes of the plan that are still ahead: the work of the steps not done, their set-up, and waits between them;
 * with what troubles on their ladders still ask for.
 * Waits count in full although other work may yet fill them, so the answer errs to the long side.
 */
export function minutesLeft(state: JobState): number {
  return (
    state.plan?.steps
      .filter(step => !state.done[step.id])
      .reduce((sum, step) => sum + stepMinutes(step) + step.setupMinutes + step.waitMinutes, ladderMinutes(state)) ?? 0
  )
}

/** Minutes that the timer ran on a step, a running timer counted up to `now` (ISO 8601); `null` when it never ran. */
export function actualMinutes(state: JobState, stepId: string, now: string): number | null {
  const timer = state.timers[stepId]
  if (!timer) return null
  return (timer.seconds + (timer.runningSince ? stretchSeconds(timer.runningSince, now) : 0)) / 60
}
