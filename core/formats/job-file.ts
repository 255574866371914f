import { emptyJob } from '../job/chapters'
import type { JobEvent, JobState } from '../job/chapters'
import { admit, applyEvent, reduceJob } from '../job/job'

/** What a job file calls itself, and the version of it that this Eldrin writes and reads. */
export const JOB_FORMAT = 'eldrin-job'
export const JOB_FORMAT_VERSION = 1

/** One job with its whole log: enough to have the same job elsewhere. Plain JSON. */
export interface JobFile {
  format: typeof JOB_FORMAT
  version: typeof JOB_FORMAT_VERSION
  /** ISO 8601. */
  exportedAt: string
  /** Who the log speaks of. */
  people: { id: string; name: string }[]
  events: JobEvent[]
}

/** A file that is no job: where, and why. */
export class JobFileError extends Error {
  override name = 'JobFileError'
  constructor(
    readonly path: string,
    readonly reason: string,
  ) {
    super(`${path}: ${reason}`)
  }
}

/**
 * A job as a file, with those people only that its log names.
 * @param events the whole log, in order
 * @param exportedAt ISO 8601
 */
export function exportJob(events: JobEvent[], people: { id: string; name: string }[], exportedAt: string): JobFile {
  const named = new Set(events.map(event => event.personId))
  return {
    format: JOB_FORMAT,
    version: JOB_FORMAT_VERSION,
    exportedAt,
    people: people.filter(person => named.has(person.id)).map(({ id, name }) => ({ id, name })),
    events,
  }
}

/**
 * Reads a job file back: the log is replayed event by event under the rules it was written under, and the first that may not stand refuses the whole.
 * The shape of the file has been checked before.
 * @throws JobFileError with the path of the event at fault
 */
export function importJob(file: JobFile): { jobId: string; events: JobEvent[]; state: JobState } {
  const { events, people } = file
  const [first] = events
  if (first?.type !== 'job-opened')
    throw new JobFileError('events[0].type', 'The log of a job begins with its opening.')
  const ids = new Set<string>()
  const known = new Set(people.map(person => person.id))
  const log: JobEvent[] = []
  let state = emptyJob()
  for (const [index, event] of events.entries()) {
    const fail = (path: string, reason: string) => new JobFileError(`events[${index}].${path}`, reason)
    if (event.jobId !== first.jobId) throw fail('jobId', 'This event belongs to another job.')
    if (event.seq !== index + 1) throw fail('seq', `Number ${index + 1} is wanted here: nothing is left out of a log.`)
    if (ids.has(event.id)) throw fail('id', 'This id stands twice.')
    if (!known.has(event.personId)) throw fail('personId', 'Nobody in the file has this id.')
    ids.add(event.id)
    try {
      const refusal = admit(state, event, log)
      if (refusal) throw fail(refusal.path, refusal.reason)
      log.push(event)
      if (event.type === 'undone') state = reduceJob(log)
      else applyEvent(state, event)
      state.lastSeq = event.seq
      state.lastAt = event.deviceTime
    } catch (error) {
      if (error instanceof JobFileError) throw error
      throw fail('payload', `This cannot be replayed: ${error instanceof Error ? error.message : String(error)}.`)
    }
  }
  return { jobId: first.jobId, events, state: reduceJob(events) }
}
