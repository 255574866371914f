import { reduceJob } from '../../core/job'
import type { JobEvent, JobState } from '../../core/job'

/** A job as a log tells it: the events in order, and the state that they lead to. */
export interface Told {
  log: JobEvent[]
  state: JobState
}

export const tell = (log: JobEvent[]): Told => ({ log, state: reduceJob(log) })
