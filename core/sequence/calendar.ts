const DAY = 1440

/** Hours in which work is done, seen from the start of a job. */
export interface WorkingHours {
  /** Minute of the day at which work begins and ends. */
  fromMinute: number
  toMinute: number
  /** Weekdays that are worked, 0 for Sunday to 6 for Saturday. */
  weekdays: number[]
}

/** Working hours laid on the time axis of a job, whose minute 0 is a minute of a weekday. */
export interface Calendar {
  hours: WorkingHours
  startMinuteOfDay: number
  startWeekday: number
}

/** @throws RangeError on hours that leave no time to work */
export function checkHours(hours: WorkingHours): void {
  const { fromMinute, toMinute, weekdays } = hours
  if (!(fromMinute >= 0 && toMinute <= DAY && toMinute - fromMinute >= 15))
    throw new RangeError(`hours from ${fromMinute} to ${toMinute} leave no time to work`)
  if (!weekdays.some(day => day >= 0 && day <= 6)) throw new RangeError('hours.weekdays names no day')
}

function worked(calendar: Calendar, day: number): boolean {
  return calendar.hours.weekdays.includes((((calendar.startWeekday + day) % 7) + 7) % 7)
}

/** The first open minute at `minutes` or after it. */
export function nextOpen(calendar: Calendar, minutes: number): number {
  const clock = minutes + calendar.startMinuteOfDay
  let day = Math.floor(clock / DAY)
  let opens = Math.max(clock, day * DAY + calendar.hours.fromMinute)
  while (!worked(calendar, day) || opens >= day * DAY + calendar.hours.toMinute) {
    day++
    opens = day * DAY + calendar.hours.fromMinute
  }
  return opens - calendar.startMinuteOfDay
}

/** When the working time that holds the open minute `minutes` ends. */
export function closesAfter(calendar: Calendar, minutes: number): number {
  const day = Math.floor((minutes + calendar.startMinuteOfDay) / DAY)
  return day * DAY + calendar.hours.toMinute - calendar.startMinuteOfDay
}

/** When work of `duration` minutes begun at `minutes` is finished, if it is laid down at closing time and taken up in the morning. */
export function workThrough(calendar: Calendar, minutes: number, duration: number): number {
  let clock = nextOpen(calendar, minutes)
  let left = duration
  for (;;) {
    const closes = closesAfter(calendar, clock)
    if (clock + left <= closes + 1e-9) return clock + left
    left -= closes - clock
    clock = nextOpen(calendar, closes)
  }
}

/** Stretches between two moments in which nobody works, each from closing to opening. */
export function closedSpans(calendar: Calendar, from: number, to: number): [from: number, to: number][] {
  const spans: [number, number][] = []
  let clock = from
  while (clock < to) {
    const open = nextOpen(calendar, clock)
    if (open > clock) spans.push([clock, Math.min(open, to)])
    clock = Math.max(open, closesAfter(calendar, open))
  }
  return spans
}

/** Minutes between two moments in which nobody works. */
export function closedMinutes(calendar: Calendar, from: number, to: number): number {
  return closedSpans(calendar, from, to).reduce((sum, [start, end]) => sum + end - start, 0)
}
