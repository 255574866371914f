import ical from 'ical-generator'
import { render } from '../core/say'
import type { Reader } from '../core/say'
import type { CalendarEntry } from '../core/formats'
import type { JobState } from '../core/job'

/**
 * Entries of a job as a calendar file (RFC 5545). Each is of the revision and the moment of the job's last event, so that a
 * reader takes what is newer for what it has.
 */
export function calendarText(
  name: string,
  state: Pick<JobState, 'lastSeq' | 'lastAt'>,
  entries: CalendarEntry[],
  reader: Reader,
): string {
  const calendar = ical({ name, prodId: { company: 'Eldrin', product: 'Eldrin', language: 'EN' } })
  for (const { uid, title, about, from, to } of entries) {
    calendar.createEvent({
      id: uid,
      summary: render(title, reader),
      ...(about ? { description: render(about, reader) } : {}),
      start: new Date(from),
      end: new Date(to),
      sequence: state.lastSeq,
      stamp: new Date(state.lastAt ?? from),
    })
  }
  return calendar.toString()
}
