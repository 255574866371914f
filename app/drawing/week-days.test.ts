import { describe, expect, it } from 'vitest'
import { weekJobs, weekWindows } from '../../core/job'
import type { JobSummary } from '../../core/job'
import { weekDays } from './week-days'

const hours = { fromMinute: 480, toMinute: 1080, weekdays: [1, 2, 3, 4, 5] }
// A Friday, ten in the morning.
const now = new Date(2026, 10, 27, 10, 0)

describe('the days ahead', () => {
  it('have their hours, and none at the weekend', () => {
    const days = weekDays(now, 4, hours, null)
    expect(days.map(day => day.worked)).toEqual([true, false, false, true])
    expect(weekWindows(days, now).bay).toEqual([
      [0, 480],
      [3 * 1440 - 120, 3 * 1440 + 480],
    ])
  })
  it('end with the light on a driveway', () => {
    // Where this machine’s clock goes by the sun, on whichever side of the date line.
    const east = -now.getTimezoneOffset() / 4
    const longitude = east > 180 ? east - 360 : east
    const { bay, driveway } = weekWindows(weekDays(now, 1, hours, { latitude: 52, longitude }), now)
    expect(driveway[0]![1]).toBeLessThan(bay[0]![1])
    expect(driveway[0]![1]).toBeGreaterThan(300)
  })
  it('hold jobs with work ahead alone', () => {
    const line = (change: object) =>
      ({
        jobId: 'j',
        status: 'in-work',
        promisedAt: null,
        segments: [{ minutes: 30, waitAfter: 0, readyAt: null, because: null }],
        site: { site: 'bay', travelMinutes: 0, notBefore: null },
        ...change,
      }) as unknown as JobSummary
    expect(weekJobs([line({}), line({ status: 'break-in' }), line({ segments: [] })], now)).toHaveLength(1)
    expect(
      weekJobs(
        [
          line({
            promisedAt: new Date(now.getTime() + 3_600_000).toISOString(),
            site: { site: 'driveway', travelMinutes: 15, notBefore: new Date(now.getTime() - 1000).toISOString() },
          }),
        ],
        now,
      )[0],
    ).toMatchObject({ dueAt: 60, notBefore: 0, site: 'driveway', travelMinutes: 15 })
  })
})
