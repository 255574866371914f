import type { Past } from '../../../sequence/job-instance'
import { stepMinutes } from '../../../sequence/step-minutes'
import type { PlannedStep } from '../../../sequence/types'
import type { JobState } from '../../chapters'

/**
 * The steps done, for a plan that goes on from there: in the order they were done, each with its planned minutes,
 * laid end to end. Steps that the present plan does not hold are left out.
 * @returns `null` when nothing is done yet
 */
export function pastOf(state: JobState): Past | null {
  const planned = new Map(state.plan?.steps.map(step => [step.id, step]))
  const order = new Map(state.plan?.order.map((id, index) => [id, index]))
  const done = Object.entries(state.done)
    .sort(([a, one], [b, other]) => one.at.localeCompare(other.at) || (order.get(a) ?? 0) - (order.get(b) ?? 0))
    .flatMap(([id]) => planned.get(id) ?? [])
    // What others did took none of our time.
    .map(step => (state.takenOver[step.id] ? { ...step, minutes: 0, setupMinutes: 0 } : step))
  if (done.length === 0) return null
  let clock = 0
  const steps = done.map((step): PlannedStep => {
    const { closedMinutes: _closed, waitBecause: _because, ...rest } = step
    const minutes = stepMinutes(step)
    const startMinutes = clock + step.setupMinutes
    clock = startMinutes + minutes
    return { ...rest, minutes, startMinutes, finishMinutes: clock, waitMinutes: 0 }
  })
  return { steps, place: state.place, car: state.car }
}
