import { getDayOfYear } from 'date-fns'
import { darkFrom } from '../../core/sequence'

/** When it gets dark at a place on the day of `now`; `null` where it does not. */
export function darkToday({ latitude, longitude }: { latitude: number; longitude: number }, now: Date): Date | null {
  const minutes = darkFrom(latitude, longitude, getDayOfYear(now))
  return minutes === null
    ? null
    : new Date(Date.UTC(now.getFullYear(), now.getMonth(), now.getDate()) + minutes * 60_000)
}
