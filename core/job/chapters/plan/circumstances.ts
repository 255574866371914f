import type { Calendar, WorkingHours } from '../../../sequence/calendar'
import type { Pin, PlanSetting, Skill } from '../../../sequence/types'

/** What a job is planned for, in times of the wall clock. */
export interface Circumstances {
  /** When a second pair of hands comes for a while, ISO 8601. */
  helper: { from: string; to: string } | null
  hours: WorkingHours | null
  /** Parts on their way, and when they are there. */
  arrivals: { partId: string; at: string }[]
  /** Steps that the mechanic has put where they stand. */
  pins: Pin[]
  /** Tools that are done without; a job of before did not say. */
  without?: string[]
  /** Tools that stay at hand within a stay; a job of before did not say. */
  trayTools?: number
  /** How well whoever does it knows the work. */
  skill?: Skill
}

/** A moment of the wall clock laid on the time axis of a plan. */
export interface PlanClock {
  /** ISO 8601. */
  at: string
  /** The minute of the plan that this is. */
  minutes: number
  /** Minutes that local time is ahead of UTC. */
  utcOffsetMinutes: number
}

export const noCircumstances: Circumstances = { helper: null, hours: null, arrivals: [], pins: [] }

const DAY = 1440

/** The circumstances as the planner takes them: minutes from the start of the plan. */
export function planSetting(
  { helper, hours, arrivals, pins, without = [], trayTools, skill }: Circumstances,
  hands: 1 | 2,
  clock: PlanClock,
): Partial<PlanSetting> {
  const origin = Date.parse(clock.at) / 60_000 - clock.minutes
  const minuteOf = (at: string) => Date.parse(at) / 60_000 - origin
  return {
    helper: hands === 2,
    helperWindow: helper && hands === 1 ? { fromMinutes: minuteOf(helper.from), toMinutes: minuteOf(helper.to) } : null,
    hours,
    ...dayOf(origin + clock.utcOffsetMinutes),
    arrivals: arrivals.map(({ partId, at }) => ({ partId, atMinutes: minuteOf(at) })),
    pins,
    ...(without.length > 0 ? { without } : {}),
    ...(trayTools === undefined ? {} : { trayTools }),
    ...(skill === undefined ? {} : { skill }),
  }
}

/** Working hours laid on an axis whose minute 0 is this moment; `null` where work goes on round the clock. */
export function calendarFrom(hours: WorkingHours | null, at: string, utcOffsetMinutes: number): Calendar | null {
  if (!hours) return null
  const { startMinuteOfDay, startWeekday } = dayOf(Date.parse(at) / 60_000 + utcOffsetMinutes)
  return { hours, startMinuteOfDay, startWeekday }
}

function dayOf(localMinutes: number): { startMinuteOfDay: number; startWeekday: number } {
  const day = Math.floor(localMinutes / DAY)
  // 1 January 1970 was a Thursday.
  return { startMinuteOfDay: localMinutes - day * DAY, startWeekday: (((day + 4) % 7) + 7) % 7 }
}

/** When a minute of the plan is, ISO 8601. */
export function momentOf(clock: PlanClock, minutes: number): string {
  return new Date(Date.parse(clock.at) + (minutes - clock.minutes) * 60_000).toISOString()
}
