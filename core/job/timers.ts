import type { JobState } from './state'

/** Stops a running step timer and adds its seconds; one that is not running stays as it is. */
export function stopTimer(state: JobState, stepId: string, at: string): void {
  const timer = state.timers[stepId]
  if (!timer?.runningSince) return
  timer.seconds += Math.max(0, Math.round((Date.parse(at) - Date.parse(timer.runningSince)) / 1000))
  timer.runningSince = null
}
