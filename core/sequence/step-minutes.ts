import type { PlannedStep } from './types'

/**
 * Minutes of work in a planned step. Of a plan that does not say it is worked out: closing time counts before or into a step; it lies
 * inside only where the step is longer than a whole closed span, since no other is cut by closing time.
 */
export function stepMinutes({ minutes, startMinutes, finishMinutes, closedMinutes = 0 }: PlannedStep): number {
  if (minutes !== undefined) return minutes
  const span = finishMinutes - startMinutes
  return span > closedMinutes ? span - closedMinutes : span
}
