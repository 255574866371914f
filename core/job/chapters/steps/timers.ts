import type { JobState } from '../../chapters'

/** Nobody works on one step for longer at a stretch, in seconds: the timer was forgotten, or a clock was wrong. Common practice, no source. */
export const LONGEST_STRETCH_SECONDS = 16 * 3600

/** Seconds that a timer ran on from `since` to `now` (ISO 8601): never below zero, and never longer than anybody works. */
export function stretchSeconds(since: string, now: string): number {
  return Math.min(LONGEST_STRETCH_SECONDS, Math.max(0, (Date.parse(now) - Date.parse(since)) / 1000))
}

/** Stops a running step timer and adds its seconds; one that is not running stays as it is. */
export function stopTimer(state: JobState, stepId: string, at: string): void {
  const timer = state.timers[stepId]
  if (!timer?.runningSince) return
  timer.seconds += Math.round(stretchSeconds(timer.runningSince, at))
  timer.runningSince = null
}
