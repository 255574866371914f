import type { WorkingHours } from '../../core/sequence'
import { afterWork } from './after-work'

interface Ahead {
  workLeft: number
  dueParts: { at: string, minutesAfter: number }[]
  hours: WorkingHours | null
  waitsUntil: string | null
}

/**
 * When a job will be done, as things stand now: the work that is left, but no part sooner than what still follows its arrival.
 * A part that is overdue counts as coming now, so the finish moves on until it is here.
 */
export function jobEnds({ workLeft, dueParts, hours, waitsUntil }: Ahead, now: Date): Date {
  const later = (at: string) => new Date(Math.max(Date.parse(at), now.getTime()))
  const ends = [afterWork(workLeft, hours, waitsUntil ? later(waitsUntil) : now), ...dueParts.map(part => afterWork(part.minutesAfter, hours, later(part.at)))]
  return new Date(Math.max(...ends.map(end => end.getTime())))
}
