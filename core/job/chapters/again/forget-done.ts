import { dictOf } from '../../../base/dict'
import type { JobState } from '../../chapters'
import { firstId } from './with-again'
import type { ApartAgain } from './with-again'

/**
 * Steps that are to be done again count as not done: what was done, measured, turned and bled of them stands under the id of the first
 * time, in the plan as well. Changes the slices it is given, not what they held.
 */
export function forgetDone(state: JobState, { againId, stepId, repeats, because }: ApartAgain): void {
  const names = new Map(repeats.map(id => [id, firstId(againId, id)]))
  const nameOf = (id: string) => names.get(id) ?? id
  const renamed = <T>(record: Record<string, T>): Record<string, T> =>
    dictOf(Object.fromEntries(Object.entries(record).map(([id, value]) => [nameOf(id), value])))
  const { plan, procedure } = state
  for (const slice of ['done', 'timers', 'bleeding', 'reservoirs', 'gears', 'codes', 'routines'] as const)
    Object.assign(state, { [slice]: renamed<unknown>(state[slice]) })
  state.readings = state.readings.map(reading => ({ ...reading, stepId: nameOf(reading.stepId) }))
  state.runs = state.runs.map(run => ({
    ...run,
    stepId: run.stepId === null ? null : nameOf(run.stepId),
    dropped: run.stepId === stepId && !names.has(stepId) ? (run.dropped ?? because) : run.dropped,
  }))
  const back = new Set(
    procedure!.operations.filter(({ id }) => names.has(id)).flatMap(({ putsBack }) => Object.keys(putsBack)),
  )
  // New ones went in, and come out again: whoever puts it back says anew what goes in.
  state.replaced = dictOf(Object.fromEntries(Object.entries(state.replaced).filter(([item]) => !back.has(item))))
  if (plan)
    state.plan = {
      ...plan,
      order: plan.order.map(nameOf),
      steps: plan.steps.map(step => ({ ...step, id: nameOf(step.id) })),
      trips: plan.trips.map(trip => ({ ...trip, stepIds: trip.stepIds.map(nameOf) })),
    }
}
