import type { JobEvent } from '../../core/job'
import type { WaitingAct } from '../log/waiting-act'
import type { Keep } from './keep'
import { thisKeep } from './open-keep'

/** All that a device keeps of a job. */
export interface KeptJob {
  recorded: JobEvent[]
  waiting: WaitingAct[]
  beyond: JobEvent[]
}

export async function keptOf(keep: Keep, jobId: string): Promise<KeptJob> {
  const [recorded, waiting, beyond] = await Promise.all([keep.events(jobId), keep.waiting(jobId), keep.beyond(jobId)])
  return { recorded, waiting, beyond }
}

let ahead: { jobId: string; kept: Promise<KeptJob> } | null = null

/** Begins to read a job while what will show it is still on its way. */
export function readAhead(jobId: string): void {
  ahead = { jobId, kept: thisKeep().then(keep => keptOf(keep, jobId)) }
  ahead.kept.catch(() => {})
}

/** What was read ahead of a job, once; `null` where it was not. */
export function takeAhead(jobId: string): Promise<KeptJob> | null {
  const kept = ahead?.jobId === jobId ? ahead.kept : null
  ahead = null
  return kept
}
