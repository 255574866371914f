import type { EventPayloads, EventType, JobEvent } from '../../core/job'

/** Events as a job's log has them: one after the other, of one job. */
export const numbered = (events: JobEvent[]): JobEvent[] =>
  events.map((event, index) => ({ ...event, jobId: 'job', seq: index + 1 }) as JobEvent)

/** One more event of a log, by whoever wrote its last. */
export const told = <T extends EventType>(events: JobEvent[], id: string, type: T, payload: EventPayloads[T]) =>
  ({ ...events.at(-1)!, id, type, seq: events.length + 1, payload }) as JobEvent
