import { expectedMinutes } from '../../sequence/expected-minutes'
import type { JobState } from '../chapters'
import { partsAwaited } from '../chapters/orders/arrivals'
import { ladderMinutes } from './ladders'

/**
 * What parts on their way mean for the finish. The plan holds idle time in front of the step that needs a part; here that time is
 * taken out and the part's day put in its place, so that a part that does not come moves the finish although nobody plans anew.
 * Minutes here are those of even odds, for the moment of the finish; `minutesLeft` tells the plan's own.
 */
export function partsDue(state: JobState): {
  workLeft: number
  dueParts: { name: string; at: string; minutesAfter: number }[]
} {
  const left = state.plan?.steps.filter(step => !state.done[step.id]) ?? []
  const awaited = partsAwaited(state)
  const waited = new Set(awaited.map(part => part.stepId))
  const minutes = left.map(
    step =>
      expectedMinutes(state.procedure!, step, state.plan!.setting) +
      step.setupMinutes +
      (waited.has(step.id) ? 0 : step.waitMinutes),
  )
  const after = (stepId: string) =>
    minutes.slice(left.findIndex(step => step.id === stepId)).reduce((sum, each) => sum + each, 0)
  return {
    workLeft: minutes.reduce((sum, each) => sum + each, ladderMinutes(state)),
    dueParts: awaited.map(({ name, at, stepId }) => ({ name, at, minutesAfter: after(stepId) })),
  }
}
