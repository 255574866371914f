import { reduceJob, summarise } from '../../core/job'
import type { Keep } from './keep'

/** So long after it was last opened a closed job stays on the device. */
export const KEPT_FOR_MS = 30 * 86_400_000

/**
 * Lets jobs leave this device that are closed and were not opened for long; the server has them. Nothing goes of which anything waits.
 * @param openedAt job → when it was opened last, ms since 1970
 * @returns the jobs that left
 */
export async function letOldGo(keep: Keep, openedAt: Record<string, number>, nowMs: number): Promise<string[]> {
  const busy = new Set([...(await keep.jobsWaiting()), ...(await keep.errands()).map(({ jobId }) => jobId)])
  const left: string[] = []
  for (const jobId of await keep.jobsRecorded()) {
    if (busy.has(jobId) || nowMs - (openedAt[jobId] ?? nowMs) < KEPT_FOR_MS) continue
    if ((await keep.beyond(jobId)).length > 0) continue
    if (summarise(reduceJob(await keep.events(jobId))).status !== 'closed') continue
    await keep.forget(jobId)
    left.push(jobId)
  }
  return left
}
