import { addDays, getDayOfYear, startOfDay } from 'date-fns'
import type { WeekDay } from '../../core/job'
import { darkFrom } from '../../core/sequence'
import type { WorkingHours } from '../../core/sequence'

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
    const darkUtc = place && darkFrom(place.latitude, place.longitude, getDayOfYear(start))
    return {
      start,
      from: at(fromMinute),
      to: at(toMinute),
      dark: darkUtc === null ? null : eveningOf(start, darkUtc),
      worked: weekdays.includes(start.getDay()),
    }
  })
}

const DAY_MS = 24 * 3_600_000
/** An evening begins no earlier than this after midnight, in the south of a June as little as in the north of a December. */
const MORNING_MS = DAY_MS / 4

/** A minute of the day in UTC as the moment of it that belongs to a day as it is counted here: beyond the date line they are a day apart. */
function eveningOf(start: Date, minuteUtc: number): Date {
  const told = Date.UTC(start.getFullYear(), start.getMonth(), start.getDate()) + minuteUtc * 60_000
  const since = told - start.getTime() - MORNING_MS
  return new Date(start.getTime() + MORNING_MS + (((since % DAY_MS) + DAY_MS) % DAY_MS))
}
