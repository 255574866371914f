import { format } from 'date-fns'
import { expect, it } from 'vitest'
import { clockText, dateText, dayText, localField, weekdayText } from './dates'

/** Held against a library of dates, over every month, midnight and noon. */
const moments = Array.from({ length: 12 }, (_, month) => [
  new Date(2026, month, month + 1, 0, 5),
  new Date(2027, month, 28 - month, 12, 40),
]).flat()

it.each(moments)('reads %s as the library does', date => {
  expect(clockText(date)).toBe(format(date, 'HH:mm'))
  expect([weekdayText(date), weekdayText(date, 'long')]).toEqual([format(date, 'EEE'), format(date, 'EEEE')])
  expect([dayText(date), dayText(date, 'long')]).toEqual([format(date, 'd MMM'), format(date, 'd MMMM')])
  expect([dateText(date), dateText(date, 'long')]).toEqual([format(date, 'd MMM yyyy'), format(date, 'd MMMM yyyy')])
  expect(localField(date)).toBe(format(date, "yyyy-MM-dd'T'HH:mm"))
})
