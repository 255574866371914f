import { describe, expect, it } from 'vitest'
import { jobEnds as endsAt } from './job-ends'

const jobEnds = (ahead: Parameters<typeof endsAt>[0], at: Date) => endsAt(ahead, at, () => 0)
const now = new Date('2026-03-02T09:00:00Z')
const ahead = { workLeft: 300, dueParts: [], hours: null, waitsUntil: null }

describe('jobEnds', () => {
  it('is the work that is left, from now or from what it waits for', () => {
    expect(jobEnds(ahead, now)).toEqual(new Date('2026-03-02T14:00:00Z'))
    expect(jobEnds({ ...ahead, waitsUntil: '2026-03-02T11:00:00Z' }, now)).toEqual(new Date('2026-03-02T16:00:00Z'))
    expect(jobEnds({ ...ahead, waitsUntil: '2026-03-01T11:00:00Z' }, now)).toEqual(new Date('2026-03-02T14:00:00Z'))
  })
  it('is held up only by a part that comes after the work before it', () => {
    expect(jobEnds({ ...ahead, dueParts: [{ at: '2026-03-02T10:00:00Z', minutesAfter: 120 }] }, now)).toEqual(
      new Date('2026-03-02T14:00:00Z'),
    )
    expect(jobEnds({ ...ahead, dueParts: [{ at: '2026-03-03T10:00:00Z', minutesAfter: 120 }] }, now)).toEqual(
      new Date('2026-03-03T12:00:00Z'),
    )
  })
  it('moves on with the clock while a part is overdue', () => {
    const overdue = { ...ahead, workLeft: 120, dueParts: [{ at: '2026-03-01T10:00:00Z', minutesAfter: 120 }] }
    expect(jobEnds(overdue, now)).toEqual(new Date('2026-03-02T11:00:00Z'))
    expect(jobEnds(overdue, new Date('2026-03-02T12:00:00Z'))).toEqual(new Date('2026-03-02T14:00:00Z'))
  })
  it('goes by the clock on the wall where the garage has hours', () => {
    const hours = { fromMinute: 480, toMinute: 1080, weekdays: [1, 2, 3, 4, 5] }
    // Nine in the morning in Greenwich is ten here: eight hours are left of the day, and the rest is done tomorrow.
    expect(endsAt({ ...ahead, workLeft: 540, hours }, now, () => 60)).toEqual(new Date('2026-03-03T08:00:00Z'))
  })
})
