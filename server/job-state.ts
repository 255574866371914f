import { reduceJob } from '../core/job'
import type { JobState } from '../core/job'
import type { GarageStore } from './db/for-garage'
import { Refused } from './refused'

/** The state of a job of this garage. @throws Refused where there is none */
export async function jobStateOf(store: GarageStore, jobId: string): Promise<JobState> {
  const events = await store.jobs.events(jobId)
  if (events.length === 0) throw new Refused(404, [{ path: 'id', reason: 'There is no such job.' }])
  return reduceJob(events)
}
