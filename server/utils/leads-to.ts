import type { JobQueries } from '../db/queries/jobs'

/**
 * Whether a log leads to the event that a device had last. After the records were restored from a backup it may not: the device then holds what the log has no more.
 * @param last id of the event with number `after`, where the device says it
 */
export async function leadsTo(jobs: JobQueries, jobId: string, after: number, last: unknown): Promise<boolean> {
  if (after === 0 || typeof last !== 'string') return true
  return (await jobs.idAt(jobId, after)) === last
}
