import { refuse } from '../../log/chapter'
import type { Refusal } from '../../log/chapter'
import type { PlanState } from '.'

/** Why something cannot be said of a step: the plan does not hold it. `null` is said of the whole job. */
export function unknownStep(state: PlanState, stepId: string | null): Refusal | null {
  if (stepId === null || state.plan?.order.includes(stepId)) return null
  return refuse('payload.stepId', `The plan of this job has no step "${stepId}".`)
}
