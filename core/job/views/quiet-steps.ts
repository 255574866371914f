import type { JobState } from '../chapters'
import { orientationsBackWith, orientationsOffWith } from '../chapters/bench/orientations'
import { boltsOffWith } from '../chapters/bolts/boards'
import { cautionsToRead } from '../chapters/cautions'
import { newPartsOf } from './reconcile'
import { stepView } from './steps'
import { waitBefore } from './waits'

/**
 * Steps that follow a step in the same trip and ask for nothing: no reading, figure, bolt, part, caution or wait. Who has
 * done them with the hands under the car can say so at once.
 * @returns their ids in the order of the plan; empty where the very next one asks for something
 */
export function quietSteps(state: JobState, stepId: string): string[] {
  const order = stepView(state, stepId)?.trip.stepIds ?? []
  const ahead = order.slice(order.indexOf(stepId) + 1).filter(id => !state.done[id])
  const loud = ahead.findIndex(id => asksForSomething(state, id))
  return loud < 0 ? ahead : ahead.slice(0, loud)
}

function asksForSomething(state: JobState, stepId: string): boolean {
  const operation = stepView(state, stepId)?.operation
  if (!operation) return true
  const { readings, activity, figure, moreFigures } = operation
  return (
    readings.length > 0 ||
    !!activity ||
    !!figure ||
    !!moreFigures?.length ||
    boltsOffWith(state, stepId).length > 0 ||
    cautionsToRead(state, stepId).length > 0 ||
    newPartsOf(state, stepId).some(entry => entry.by === null) ||
    waitBefore(state, stepId) !== null ||
    orientationsOffWith(state, stepId).length > 0 ||
    orientationsBackWith(state, stepId).length > 0
  )
}
