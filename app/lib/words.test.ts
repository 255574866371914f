import { describe, expect, it } from 'vitest'
import type { JobSummary } from '../../core/job'
import { minutesText, stopwatch } from './durations'
import { momentText } from './moments'
import { orderYard } from './order-yard'

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

describe('orderYard', () => {
  const job = (number: number, status: JobSummary['status'], minutesLeft: number) => ({ number, status, minutesLeft }) as JobSummary
  it('puts what can be done now first, and among that what is nearest its end', () => {
    const order = orderYard([job(1, 'waiting', 10), job(2, 'planned', 100), job(3, 'in-work', 300), job(4, 'in-work', 20), job(5, 'break-in', 0), job(6, 'ready', 0)])
    expect(order.map(({ number }) => number)).toEqual([6, 4, 3, 2, 1, 5])
  })
})
