import { describe, expect, it } from 'vitest'
import { breakIn } from './break-in'

const rule = { distanceKm: 800, startKm: 10_000, startAt: '2026-03-02T08:00:00.000Z' }
const day = (days: number) => new Date(Date.parse(rule.startAt) + days * 86_400_000).toISOString()

describe('breakIn', () => {
  it('knows no end before anything was driven', () => {
    expect(breakIn(rule, [])).toMatchObject({
      drivenKm: 0,
      toGoKm: 800,
      kmPerDay: null,
      endsAt: null,
      done: false,
      stopAndGo: null,
    })
  })
  it('forecasts the end from a steady pace to the day', () => {
    // 50 km a day: 400 km after 8 days, the other 400 after 8 more.
    const report = breakIn(rule, [
      { at: day(4), odometerKm: 10_200 },
      { at: day(8), odometerKm: 10_400 },
    ])
    expect(report.kmPerDay).toBeCloseTo(50, 9)
    expect(report).toMatchObject({ endsAt: day(16), earliestAt: day(16), latestAt: day(16), share: 0.5 })
  })
  it('gives the span between the quickest and the slowest stretch', () => {
    const report = breakIn(rule, [
      { at: day(2), odometerKm: 10_200 },
      { at: day(6), odometerKm: 10_280 },
    ])
    expect(report.earliestAt).toBe(day(6 + 520 / 100))
    expect(report.latestAt).toBe(day(6 + 520 / 20))
    expect(Date.parse(report.endsAt!)).toBeGreaterThan(Date.parse(report.earliestAt!))
    expect(Date.parse(report.endsAt!)).toBeLessThan(Date.parse(report.latestAt!))
  })
  it('weighs stop-and-go by distance, keeps hard use, and is over at the distance', () => {
    const report = breakIn(rule, [
      { at: day(5), odometerKm: 10_100, stopAndGo: 1 },
      { at: day(9), odometerKm: 10_400, stopAndGo: 0.2, hard: true },
      { at: day(12), odometerKm: 10_850 },
    ])
    expect(report.stopAndGo).toBeCloseTo((100 + 60) / 400, 12)
    expect(report.hard).toHaveLength(1)
    expect(report).toMatchObject({ done: true, toGoKm: 0, share: 1, endsAt: null })
  })
  it('refuses a rule of nothing and an odometer that runs backward', () => {
    expect(() => breakIn({ ...rule, distanceKm: 0 }, [])).toThrow('above zero')
    expect(() => breakIn(rule, [{ at: day(1), odometerKm: 9_000 }])).toThrow('backward')
  })
  it('reads miles and kilometres apart by the caller: 400 mi is 643.7 km, not 400', () => {
    // Common practice, no source: one sheet of 400 was read both ways.
    expect(breakIn({ ...rule, distanceKm: 400 * 1.609344 }, [{ at: day(5), odometerKm: 10_400 }]).done).toBe(false)
    expect(breakIn({ ...rule, distanceKm: 400 }, [{ at: day(5), odometerKm: 10_400 }]).done).toBe(true)
  })
})
