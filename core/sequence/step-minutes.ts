import type { PlannedStep } from './types'

/**
 * Minutes of work in a planned step. Closing time counts before or into a step; it lies inside only where the step is longer
 * than a whole closed span, since no other is cut by closing time.
 */
export function stepMinutes({ startMinutes, finishMinutes, closedMinutes = 0 }: PlannedStep): number {
  const span = finishMinutes - startMinutes
  return span > closedMinutes ? span - closedMinutes : span
}
