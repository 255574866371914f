import type { EventType, JobEvent } from './events'
import type { JobState } from './state'

/** Why an event cannot enter the log: the field at fault and a sentence for the person. */
export interface Refusal { path: string, reason: string }

export type Judges = { [T in EventType]?: (state: JobState, event: JobEvent<T>, log: JobEvent[]) => Refusal | null }

export const refuse = (path: string, reason: string): Refusal => ({ path, reason })

export function unknownStep(state: JobState, stepId: string | null): Refusal | null {
  if (stepId === null || state.plan?.order.includes(stepId)) return null
  return refuse('payload.stepId', `The plan of this job has no step "${stepId}".`)
}
