import type { JobEvent, JobState } from '../chapters'
import { reduceJob } from '../job'
import { effectiveEvents } from '../log/effective'
import { actualMinutes } from './minutes'

/** How long a piece of work of a job took, and how it is known. */
export interface ObservedMinutes {
  operationId: string
  minutes: number
  by: 'timer' | 'clock'
  troubled: boolean
}

/** Without a timer, the time since the step before counts up to so many times the high estimate; longer is a pause. */
const PAUSE = 2
/** A timer that ran longer than so many times the high estimate was forgotten. Common practice, no source. */
const FORGOTTEN = 6
/** Nobody is done in a smaller share of the low estimate: it was ticked off, not timed. Common practice, no source. */
const TICKED_OFF = 0.25

/**
 * Minutes of every piece of work done, from its timer, or else from the moment the step before it was done to its own,
 * less the time its set-up was planned for. Longer gaps are pauses, and say nothing; so does what was ticked off faster than anybody works.
 * @param log the events of the job, in order
 */
export function observedMinutes(log: JobEvent[], state: JobState = reduceJob(log)): ObservedMinutes[] {
  const operations = new Map((state.procedure?.operations ?? []).map(operation => [operation.id, operation]))
  const planned = new Map((state.plan?.steps ?? []).map(step => [step.id, step]))
  const troubled = new Set(state.troubles.flatMap(trouble => trouble.stepId ?? []))
  const done = effectiveEvents(log).filter((event): event is JobEvent<'step-done'> => event.type === 'step-done')
  return done.flatMap((event, index): ObservedMinutes[] => {
    const operation = operations.get(event.payload.stepId)
    if (!operation) return []
    const base = { operationId: operation.id, troubled: troubled.has(operation.id) }
    const [low, , high] = operation.minutes
    const plausible = (minutes: number, most: number) => minutes >= low * TICKED_OFF && minutes <= high * most
    const timed = actualMinutes(state, operation.id, event.deviceTime)
    if (timed !== null && plausible(timed, FORGOTTEN)) return [{ ...base, minutes: timed, by: 'timer' }]
    const before = done[index - 1]
    if (!before || before.personId !== event.personId) return []
    const gap =
      (Date.parse(event.deviceTime) - Date.parse(before.deviceTime)) / 60_000 -
      (planned.get(operation.id)?.setupMinutes ?? 0)
    return plausible(gap, PAUSE) ? [{ ...base, minutes: gap, by: 'clock' }] : []
  })
}
