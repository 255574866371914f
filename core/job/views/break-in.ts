import { FieldError } from '../../base/field-error'
import type { BreakIn, BreakInReading } from '../chapters/break-in'

/** Distance driven and to go in the break-in, in km; `share` from 0 to 1. */
export function distanceToGo(breakIn: Pick<BreakIn, 'distanceKm' | 'startKm' | 'lastKm'>): {
  drivenKm: number
  toGoKm: number
  share: number
} {
  const drivenKm = Math.max(0, breakIn.lastKm - breakIn.startKm)
  return {
    drivenKm,
    toGoKm: Math.max(0, breakIn.distanceKm - drivenKm),
    share: Math.min(1, drivenKm / breakIn.distanceKm),
  }
}

/** The rule of a kit sheet: gentle use for a distance from an odometer and a moment on. */
export interface BreakInRule {
  distanceKm: number
  startKm: number
  startAt: string
}

export interface BreakInReport {
  drivenKm: number
  toGoKm: number
  share: number
  /** By a line through the readings from the start on, in km a day; `null` before anything was driven. */
  kmPerDay: number | null
  /** When it will be over at that pace, ISO 8601, and at the quickest and slowest pace seen; `null` where that is not known. */
  endsAt: string | null
  earliestAt: string | null
  latestAt: string | null
  /** Share of the distance told about that was stop-and-go; `null` where nobody said. */
  stopAndGo: number | null
  /** Readings at which it was used hard. */
  hard: BreakInReading[]
  done: boolean
}

const DAY_MS = 86_400_000
/** A pace is told over at least so long, in days. */
const LEAST_DAYS = 0.25

/**
 * How far a break-in has come, and when it will be over: the pace is the slope of a line through start and readings by least
 * squares through the start; the span comes from the quickest and the slowest stretch between two readings.
 * @param log readings in their order
 * @throws FieldError on a rule of no distance, or an odometer that runs backward
 */
export function breakIn(rule: BreakInRule, log: BreakInReading[]): BreakInReport {
  if (!(rule.distanceKm > 0)) throw new FieldError('distanceKm', 'The distance is above zero.')
  const days = (at: string) => (Date.parse(at) - Date.parse(rule.startAt)) / DAY_MS
  const points = [{ at: rule.startAt, odometerKm: rule.startKm }, ...log]
  const back = points.findIndex((point, index) => index > 0 && point.odometerKm < points[index - 1]!.odometerKm)
  if (back > 0) throw new FieldError(`log[${back - 1}].odometerKm`, 'An odometer does not run backward.')
  const last = points.at(-1)!
  const found = distanceToGo({ ...rule, lastKm: last.odometerKm })
  const done = found.toGoKm === 0
  const seen = log
    .map(reading => ({ days: days(reading.at), km: reading.odometerKm - rule.startKm }))
    .filter(reading => reading.days >= LEAST_DAYS)
  const square = seen.reduce((sum, reading) => sum + reading.days ** 2, 0)
  const kmPerDay = square > 0 ? seen.reduce((sum, reading) => sum + reading.days * reading.km, 0) / square : null
  const paces = points.slice(1).flatMap((point, index) => {
    const span = days(point.at) - days(points[index]!.at)
    return span >= LEAST_DAYS ? [(point.odometerKm - points[index]!.odometerKm) / span] : []
  })
  const endAt = (pace: number | null | undefined) =>
    done || pace === null || pace === undefined || !(pace > 0)
      ? null
      : new Date(Date.parse(last.at) + (found.toGoKm / pace) * DAY_MS).toISOString()
  const told = log
    .map((reading, index) => ({ share: reading.stopAndGo, km: reading.odometerKm - points[index]!.odometerKm }))
    .filter(stretch => stretch.share !== undefined && stretch.km > 0)
  const toldKm = told.reduce((sum, stretch) => sum + stretch.km, 0)
  return {
    ...found,
    kmPerDay,
    done,
    endsAt: endAt(kmPerDay),
    earliestAt: endAt(paces.length ? Math.max(...paces) : null),
    latestAt: endAt(paces.length ? Math.min(...paces) : null),
    stopAndGo: toldKm > 0 ? told.reduce((sum, stretch) => sum + stretch.share! * stretch.km, 0) / toldKm : null,
    hard: log.filter(reading => reading.hard),
  }
}
