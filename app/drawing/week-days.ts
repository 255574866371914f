import { addDays, startOfDay } from 'date-fns'
import type { WeekDay } from '../../core/job'
import type { WorkingHours } from '../../core/sequence'
import { darkOn } from './dark-on'

/** A day of work where the garage has set no hours. */
const USUAL: WorkingHours = { fromMinute: 480, toMinute: 1080, weekdays: [1, 2, 3, 4, 5, 6] }

/** The days ahead with their hours, and when it gets dark where the garage works. */
export function weekDays(
  now: Date,
  days: number,
  hours: WorkingHours | null,
  place: { latitude: number; longitude: number } | null,
): WeekDay[] {
  const { fromMinute, toMinute, weekdays } = hours ?? USUAL
  return Array.from({ length: days }, (_, index): WeekDay => {
    const start = addDays(startOfDay(now), index)
    const at = (minutes: number) => new Date(start.getFullYear(), start.getMonth(), start.getDate(), 0, minutes)
    return {
      start,
      from: at(fromMinute),
      to: at(toMinute),
      dark: place && darkOn(start, place),
      worked: weekdays.includes(start.getDay()),
    }
  })
}
