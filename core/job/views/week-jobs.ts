import type { Span, WeekJob, WeekWindows } from '../../sequence/week-types'
import type { JobSummary } from './summary'

/** Statuses with work ahead. */
const OPEN: JobSummary['status'][] = ['planned', 'in-work', 'waiting']

/** A day ahead: when it is worked, and when it gets dark where that is known. */
export interface WeekDay {
  start: Date
  from: Date
  to: Date
  dark: Date | null
  worked: boolean
}

/** The days ahead as windows in minutes from now. */
export function weekWindows(days: WeekDay[], now: Date): WeekWindows {
  const minutes = (date: Date) => (date.getTime() - now.getTime()) / 60_000
  const spans = (end: (day: WeekDay) => Date) =>
    days
      .filter(day => day.worked)
      .flatMap((day): Span[] => {
        const span: Span = [Math.max(0, minutes(day.from)), minutes(end(day))]
        return span[1] > span[0] + 1 ? [span] : []
      })
  return { bay: spans(day => day.to), driveway: spans(day => (day.dark && day.dark < day.to ? day.dark : day.to)) }
}

/** Jobs with work ahead as the week planner takes them. */
export function weekJobs(jobs: JobSummary[], now: Date): WeekJob[] {
  const minutes = (at: string | null) => (at === null ? null : (Date.parse(at) - now.getTime()) / 60_000)
  return jobs
    .filter(job => OPEN.includes(job.status) && job.segments.length > 0)
    .map(job => ({
      id: job.jobId,
      dueAt: minutes(job.promisedAt),
      notBefore: Math.max(0, minutes(job.site.notBefore) ?? 0),
      site: job.site.site,
      travelMinutes: job.site.travelMinutes,
      segments: job.segments.map(({ minutes: work, waitAfter, readyAt, because }) => ({
        minutes: work,
        waitAfter,
        readyAt: minutes(readyAt),
        because,
      })),
    }))
}
