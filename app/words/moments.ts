import { nowDate } from '../device/clock'
import { isSameDay, isTomorrow, isYesterday } from 'date-fns'
import { clockText, dayText, weekdayText } from './dates'

/** A moment as short as it can be said today: `16:40`, `tomorrow 09:10`, `Thu 3 Dec 11:00`. */
export function momentText(moment: Date | string, now = nowDate()): string {
  const date = new Date(moment)
  const time = clockText(date)
  if (isSameDay(date, now)) return time
  if (isTomorrow(date)) return `tomorrow ${time}`
  if (isYesterday(date)) return `yesterday ${time}`
  return `${weekdayText(date)} ${dayText(date)} ${time}`
}
