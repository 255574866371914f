import { reduceJob, summarise } from '../../core/job'
import type { JobSummary } from '../../core/job'
import type { DeviceJob } from './device-job'

type Held = Pick<DeviceJob, 'jobId' | 'recorded' | 'waiting' | 'log'>

/** The line of a job as this device has it. */
export const lineHere = ({ log }: Held): JobSummary => summarise(reduceJob(log))

/**
 * The lines of the jobs from what the server told last, and from what this device knows beyond it:
 * what was done here and waits to be sent, what has come through since, and jobs the server has not heard of.
 */
export function linesKnown(told: readonly JobSummary[], here: readonly Held[]): JobSummary[] {
  const held = new Map(here.map(job => [job.jobId, job]))
  const isTold = new Set(told.map(({ jobId }) => jobId))
  return [
    ...told.map(line => {
      const own = held.get(line.jobId)
      return own && isBeyond(own, line) ? lineHere(own) : line
    }),
    ...here.filter(({ jobId, recorded }) => !isTold.has(jobId) && recorded.length === 0).map(lineHere),
  ]
}

const isBeyond = ({ recorded, waiting }: Held, line: JobSummary): boolean =>
  waiting.length > 0 || (line.lastSeq !== undefined && (recorded.at(-1)?.seq ?? 0) > line.lastSeq)
