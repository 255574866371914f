import { expect, it } from 'vitest'
import { minutesText, stopwatch } from './durations'
import { momentText } from './moments'

it('says minutes as a person does', () => {
  expect([0, 59.4, 60, 125].map(minutesText)).toEqual(['0 min', '59 min', '1 h 00', '2 h 05'])
})
it('counts like a stopwatch', () => {
  expect([0, 61, 3661].map(stopwatch)).toEqual(['00:00', '01:01', '1:01:01'])
})
it('says a moment as short as it can', () => {
  const now = new Date(2026, 2, 2, 12, 0)
  expect(momentText(new Date(2026, 2, 2, 16, 40), now)).toBe('16:40')
  expect(momentText(new Date(2026, 2, 12, 9, 5), now)).toBe('Thu 12 Mar 09:05')
})
