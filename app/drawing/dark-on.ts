import { getDayOfYear, startOfDay } from 'date-fns'
import { darkFrom } from '../../core/sequence'

const DAY_MS = 24 * 3_600_000
/** An evening begins no earlier than this after midnight, in the south of a June as little as in the north of a December. */
const MORNING_MS = DAY_MS / 4

/** When it gets dark at a place on a day as it is counted here; `null` where it does not. */
export function darkOn(day: Date, { latitude, longitude }: { latitude: number; longitude: number }): Date | null {
  const minuteUtc = darkFrom(latitude, longitude, getDayOfYear(day))
  if (minuteUtc === null) return null
  const start = startOfDay(day)
  // Beyond the date line the day in UTC is another one than the day here.
  const told = Date.UTC(start.getFullYear(), start.getMonth(), start.getDate()) + minuteUtc * 60_000
  const since = told - start.getTime() - MORNING_MS
  return new Date(start.getTime() + MORNING_MS + (((since % DAY_MS) + DAY_MS) % DAY_MS))
}
