import type { WorkingHours } from '../../sequence/calendar'
import { workThrough } from '../../sequence/calendar'
import { calendarFrom } from '../chapters/plan/circumstances'

interface Ahead {
  workLeft: number
  dueParts: { at: string; minutesAfter: number }[]
  hours: WorkingHours | null
  waitsUntil: string | null
}

/** Minutes that local time is ahead of UTC at a moment. */
export type OffsetAt = (at: Date) => number

/**
 * When a job will be done, as things stand now: the work that is left, but no part sooner than what still follows its arrival.
 * A part that is overdue counts as coming now, so the finish moves on until it is here.
 */
export function jobEnds({ workLeft, dueParts, hours, waitsUntil }: Ahead, now: Date, offsetAt: OffsetAt): Date {
  const later = (at: string) => new Date(Math.max(Date.parse(at), now.getTime()))
  const done = (minutes: number, from: Date) => afterWork(minutes, hours, from, offsetAt).getTime()
  return new Date(
    Math.max(
      done(workLeft, waitsUntil ? later(waitsUntil) : now),
      ...dueParts.map(part => done(part.minutesAfter, later(part.at))),
    ),
  )
}

/** The moment at which `minutes` of work begun at `from` are done, in working hours where there are any. */
export function afterWork(minutes: number, hours: WorkingHours | null, from: Date, offsetAt: OffsetAt): Date {
  const calendar = calendarFrom(hours, from.toISOString(), offsetAt(from))
  return new Date(from.getTime() + (calendar ? workThrough(calendar, 0, minutes) : minutes) * 60_000)
}
