import { format, isSameDay, isTomorrow, isYesterday } from 'date-fns'

/** A moment as short as it can be said today: `16:40`, `tomorrow 09:10`, `Thu 3 Dec 11:00`. */
export function momentText(moment: Date | string, now = new Date()): string {
  const date = new Date(moment)
  const time = format(date, 'HH:mm')
  if (isSameDay(date, now)) return time
  if (isTomorrow(date)) return `tomorrow ${time}`
  if (isYesterday(date)) return `yesterday ${time}`
  return format(date, 'EEE d MMM HH:mm')
}
