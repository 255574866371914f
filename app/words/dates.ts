/** Days and times as they are read here: a clock of 24 hours, the day before the month. */
const parts = (date: Date, options: Intl.DateTimeFormatOptions) =>
  Object.fromEntries(
    new Intl.DateTimeFormat('en-GB', { hourCycle: 'h23', ...options })
      .formatToParts(date)
      .map(({ type, value }) => [type, value]),
  ) as Record<Intl.DateTimeFormatPartTypes, string>

/** `16:40` */
export function clockText(date: Date): string {
  const { hour, minute } = parts(date, { hour: '2-digit', minute: '2-digit' })
  return `${hour}:${minute}`
}

/** `Thu`, or `Thursday`. */
export const weekdayText = (date: Date, length: 'short' | 'long' = 'short'): string =>
  parts(date, { weekday: length }).weekday

/** `3 Dec`, or `3 December`. */
export function dayText(date: Date, length: 'short' | 'long' = 'short'): string {
  const { day, month } = parts(date, { day: 'numeric', month: length })
  // Written as the other months are, with three letters.
  return `${day} ${length === 'short' ? month.slice(0, 3) : month}`
}

/** `3 Dec 2026`, or `3 December 2026`. */
export const dateText = (date: Date, length: 'short' | 'long' = 'short'): string =>
  `${dayText(date, length)} ${date.getFullYear()}`

const two = (value: number) => String(value).padStart(2, '0')

/** As a field of kind `datetime-local` holds it: `2026-12-03T16:40`, by this device's clock. */
export const localField = (date: Date): string =>
  `${date.getFullYear()}-${two(date.getMonth() + 1)}-${two(date.getDate())}T${two(date.getHours())}:${two(date.getMinutes())}`
