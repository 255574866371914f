import { minutesUnder } from '../../sequence/slower'
import { pertMean } from '../../sequence/three-point'
import type { PaceObserved } from '../../sequence/learn-pace'
import type { JobEvent, JobState } from '../chapters'
import { observedMinutes } from './observed-minutes'

/**
 * How this car has gone so far: what its pieces of work took together, beside their means. What went wrong is no pace, and work whose time
 * nobody knows says nothing.
 * @returns one entry, or none where nothing is known yet
 */
export function paceSoFar(log: JobEvent[], state: JobState): PaceObserved[] {
  const { procedure, plan } = state
  const means = new Map(
    (procedure?.operations ?? []).map(operation => [
      operation.id,
      pertMean(minutesUnder(procedure!, operation, plan?.setting ?? {})),
    ]),
  )
  const known = observedMinutes(log, state).filter(({ troubled }) => !troubled)
  const sum = (of: (entry: (typeof known)[number]) => number) => known.reduce((total, entry) => total + of(entry), 0)
  const plannedMinutes = sum(({ operationId }) => means.get(operationId)!)
  return plannedMinutes > 0 ? [{ plannedMinutes, actualMinutes: sum(({ minutes }) => minutes) }] : []
}
