import { calendarFrom } from '../../core/job'
import { workThrough } from '../../core/sequence'
import type { WorkingHours } from '../../core/sequence'
import { utcOffsetMinutes } from './utc-offset'

/** The moment at which `minutes` of work begun at `from` are done, in working hours where there are any. */
export function afterWork(minutes: number, hours: WorkingHours | null, from: Date): Date {
  const calendar = calendarFrom(hours, from.toISOString(), utcOffsetMinutes(from))
  return new Date(from.getTime() + (calendar ? workThrough(calendar, 0, minutes) : minutes) * 60_000)
}
