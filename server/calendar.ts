import ical from 'ical-generator'
import { renderTerms } from '../core/packs'
import type { TermTable, TradeWords } from '../core/packs'
import type { CalendarEntry } from '../core/formats'
import type { JobState } from '../core/job'

/**
 * Entries of a job as a calendar file (RFC 5545). Each is of the revision and the moment of the job's last event, so that a
 * reader takes what is newer for what it has.
 */
export function calendarText(name: string, state: Pick<JobState, 'lastSeq' | 'lastAt'>, entries: CalendarEntry[], terms: TermTable, words: TradeWords): string {
  const calendar = ical({ name, prodId: { company: 'Eldrin', product: 'Eldrin', language: 'EN' } })
  for (const { uid, title, about, from, to } of entries) {
    calendar.createEvent({
      id: uid, summary: renderTerms(title, terms, words), ...(about ? { description: renderTerms(about, terms, words) } : {}), start: new Date(from), end: new Date(to),
      sequence: state.lastSeq, stamp: new Date(state.lastAt ?? from),
    })
  }
  return calendar.toString()
}
