import ical from 'ical-generator'
import { renderTerms } from '../core/packs'
import type { TermTable, TradeWords } from '../core/packs'
import type { CalendarEntry } from '../core/formats'

/** Entries as a calendar file (RFC 5545). */
export function calendarText(name: string, entries: CalendarEntry[], terms: TermTable, words: TradeWords): string {
  const calendar = ical({ name, prodId: { company: 'Eldrin', product: 'Eldrin', language: 'EN' } })
  for (const { uid, title, about, from, to } of entries) {
    calendar.createEvent({ id: uid, summary: renderTerms(title, terms, words), ...(about ? { description: renderTerms(about, terms, words) } : {}), start: new Date(from), end: new Date(to), stamp: new Date(from) })
  }
  return calendar.toString()
}
