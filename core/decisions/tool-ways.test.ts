import { describe, expect, it } from 'vitest'
import { toolWays } from './tool-ways'
import type { ToolQuestion } from './tool-ways'

const question: ToolQuestion = {
  labourPerHour: 60,
  days: 2,
  buy: 120,
  rentPerDay: 15,
  fetchMinutes: 40,
  jobsAYear: 4,
  withoutMinutes: 25,
}
const costs = (change: Partial<ToolQuestion> = {}) =>
  Object.fromEntries(toolWays({ ...question, ...change }).ways.map(({ id, cost }) => [id, cost]))

describe('a tool that is not in the house', () => {
  it('costs its price over the jobs of its life, its rent with the way there, the way alone, or the minutes without it', () => {
    // By hand: 120 over 20 jobs; 2 × 15 and 40 min at 60 an hour; 40 min; 25 min.
    expect(costs()).toEqual({ buy: 6, rent: 70, borrow: 40, without: 25 })
    expect(toolWays(question).advised).toBe('buy')
  })
  it('is bought only where it is wanted often enough', () => {
    const seldom = toolWays({ ...question, jobsAYear: 0.2 })
    expect([seldom.advised, seldom.paysAfterJobs]).toEqual(['without', 5])
    expect(seldom.because).toBe(
      'Do without it: it costs least. A bought one would not pay for itself in its life: 5 jobs, and it sees 1.',
    )
    expect(toolWays(question).because).toBe('Buy it: it costs least. A bought one has paid for itself after 5 jobs.')
  })
  it('is never done without where the work does not go without it', () => {
    const found = toolWays({ ...question, buy: null, rentPerDay: null, fetchMinutes: null, withoutMinutes: null })
    expect([found.advised, found.paysAfterJobs]).toEqual([null, null])
    expect(found.because).toMatch(/No way is priced yet/)
    expect(found.ways.find(({ id }) => id === 'without')!.working).toBe('It is not done without.')
  })
  it('pays for nothing beside a way that costs nothing', () => {
    expect(toolWays({ ...question, fetchMinutes: 0 }).paysAfterJobs).toBeNull()
    expect(toolWays({ ...question, fetchMinutes: 0 }).advised).toBe('borrow')
  })
  it.each([
    [{ days: 0 }, 'days'],
    [{ buy: -1 }, 'The price'],
    [{ labourPerHour: Number.NaN }, 'an hour'],
  ])('refuses %j', (change, words) => {
    expect(() => toolWays({ ...question, ...change })).toThrow(words)
  })
})
