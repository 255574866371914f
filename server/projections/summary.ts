import { summarise } from '../../core/job'
import type { JobSummary } from '../../core/job'
import type { Projection } from './projection'

/** The job's line on the Yard. */
export const summary: Projection<{ summary: JobSummary; lastSeq: number } | null> = {
  name: 'the line on the Yard',
  // Through JSON, as the table keeps it.
  of: ({ state }) => ({ summary: JSON.parse(JSON.stringify(summarise(state))) as JobSummary, lastSeq: state.lastSeq }),
  read: (store, jobId) => store.jobs.projected(jobId),
  write: (store, _jobId, row) => store.jobs.project(row!.summary, row!.lastSeq),
}
