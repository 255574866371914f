import { describe, expect, it } from 'vitest'
import { checkHours, closedMinutes, closedSpans, nextOpen, workThrough } from './calendar'

/** Monday 8:00 to 17:00, minute 0 being Monday 8:00. */
const hours = { fromMinute: 480, toMinute: 1020, weekdays: [1, 2, 3, 4, 5] }
const monday = { hours, startMinuteOfDay: 480, startWeekday: 1 }
const HOUR = 60
const DAY = 1440

describe('working hours', () => {
  it('lay work down at closing time and take it up in the morning', () => {
    expect(workThrough(monday, 0, 8 * HOUR)).toBe(8 * HOUR)
    expect(workThrough(monday, 8 * HOUR, 2 * HOUR)).toBe(DAY + HOUR)
    expect(workThrough(monday, 0, 9 * HOUR)).toBe(9 * HOUR)
    expect(workThrough(monday, 0, 20 * HOUR)).toBe(2 * DAY + 2 * HOUR)
  })
  it('pass over the days that are not worked', () => {
    const friday = { ...monday, startWeekday: 5 }
    expect(nextOpen(friday, 9 * HOUR)).toBe(3 * DAY)
    expect(workThrough(friday, 8 * HOUR, 2 * HOUR)).toBe(3 * DAY + HOUR)
  })
  it('begin at opening when the job starts before it, and on the next day when it starts after', () => {
    expect(nextOpen({ ...monday, startMinuteOfDay: 360 }, 0)).toBe(120)
    expect(nextOpen({ ...monday, startMinuteOfDay: 1080 }, 0)).toBe(14 * HOUR)
  })
  it('count what lies between two moments as closed', () => {
    expect(closedMinutes(monday, 0, DAY)).toBe(15 * HOUR)
    expect(closedSpans(monday, 8 * HOUR, DAY + HOUR)).toEqual([[9 * HOUR, DAY]])
    expect(closedMinutes(monday, HOUR, 2 * HOUR)).toBe(0)
  })
  it('are refused where they leave no time', () => {
    expect(() => checkHours({ ...hours, toMinute: 480 })).toThrow('no time to work')
    expect(() => checkHours({ ...hours, weekdays: [] })).toThrow('names no day')
  })
})
