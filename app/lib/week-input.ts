import { addDays, getDayOfYear, startOfDay } from 'date-fns'
import type { JobSummary } from '../../core/job'
import { darkFrom } from '../../core/sequence'
import type { Span, WeekJob, WeekWindows, WorkingHours } from '../../core/sequence'

/** A day of work where the garage has set no hours. */
const USUAL: WorkingHours = { fromMinute: 480, toMinute: 1080, weekdays: [1, 2, 3, 4, 5, 6] }
/** Statuses with work ahead. */
const OPEN: JobSummary['status'][] = ['planned', 'in-work', 'waiting']

export interface WeekDay { start: Date, from: Date, to: Date, dark: Date | null, worked: boolean }

/** The days ahead with their hours, and when it gets dark where the garage works. */
export function weekDays(now: Date, days: number, hours: WorkingHours | null, place: { latitude: number, longitude: number } | null): WeekDay[] {
  const { fromMinute, toMinute, weekdays } = hours ?? USUAL
  return Array.from({ length: days }, (_, index): WeekDay => {
    const start = addDays(startOfDay(now), index)
    const at = (minutes: number) => new Date(start.getFullYear(), start.getMonth(), start.getDate(), 0, minutes)
    const dark = place && darkFrom(place.latitude, place.longitude, getDayOfYear(start))
    return { start, from: at(fromMinute), to: at(toMinute), dark: dark === null ? null : new Date(Date.UTC(start.getFullYear(), start.getMonth(), start.getDate()) + dark * 60_000), worked: weekdays.includes(start.getDay()) }
  })
}

/** The same as windows in minutes from now. */
export function weekWindows(days: WeekDay[], now: Date): WeekWindows {
  const minutes = (date: Date) => (date.getTime() - now.getTime()) / 60_000
  const spans = (end: (day: WeekDay) => Date) => days.filter(day => day.worked).flatMap((day): Span[] => {
    const span: Span = [Math.max(0, minutes(day.from)), minutes(end(day))]
    return span[1] > span[0] + 1 ? [span] : []
  })
  return { bay: spans(day => day.to), driveway: spans(day => day.dark && day.dark < day.to ? day.dark : day.to) }
}

/** Jobs with work ahead as the week planner takes them. */
export function weekJobs(jobs: JobSummary[], now: Date): WeekJob[] {
  const minutes = (at: string | null) => at === null ? null : (Date.parse(at) - now.getTime()) / 60_000
  return jobs.filter(job => OPEN.includes(job.status) && (job.segments ?? []).length > 0).map(job => ({
    id: job.jobId, dueAt: minutes(job.promisedAt), notBefore: Math.max(0, minutes(job.site.notBefore) ?? 0), site: job.site.site, travelMinutes: job.site.travelMinutes,
    segments: job.segments.map(segment => ({ minutes: segment.minutes, waitAfter: segment.waitAfter, readyAt: minutes(segment.readyAt), because: segment.because })),
  }))
}
