import type { JobStatus, JobSummary } from './summary'

/** What the mechanic can do now stands first; what waits, and what only drives, last. */
const rank: Record<JobStatus, number> = { ready: 0, 'in-work': 1, planned: 2, waiting: 3, 'break-in': 4, closed: 5 }

/** Jobs in the order of the Yard; within a rank, the one nearest its end first. */
export function orderYard(jobs: JobSummary[]): JobSummary[] {
  return [...jobs].sort(
    (a, b) => rank[a.status] - rank[b.status] || a.minutesLeft - b.minutesLeft || a.number - b.number,
  )
}
