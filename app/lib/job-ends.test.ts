import { describe, expect, it } from 'vitest'
import { jobEnds } from './job-ends'

const now = new Date('2026-03-02T09:00:00Z')
const ahead = { workLeft: 300, dueParts: [], hours: null, waitsUntil: null }

describe('jobEnds', () => {
  it('is the work that is left, from now or from what it waits for', () => {
    expect(jobEnds(ahead, now)).toEqual(new Date('2026-03-02T14:00:00Z'))
    expect(jobEnds({ ...ahead, waitsUntil: '2026-03-02T11:00:00Z' }, now)).toEqual(new Date('2026-03-02T16:00:00Z'))
    expect(jobEnds({ ...ahead, waitsUntil: '2026-03-01T11:00:00Z' }, now)).toEqual(new Date('2026-03-02T14:00:00Z'))
  })
  it('is held up only by a part that comes after the work before it', () => {
    expect(jobEnds({ ...ahead, dueParts: [{ at: '2026-03-02T10:00:00Z', minutesAfter: 120 }] }, now)).toEqual(new Date('2026-03-02T14:00:00Z'))
    expect(jobEnds({ ...ahead, dueParts: [{ at: '2026-03-03T10:00:00Z', minutesAfter: 120 }] }, now)).toEqual(new Date('2026-03-03T12:00:00Z'))
  })
  it('moves on with the clock while a part is overdue', () => {
    const overdue = { ...ahead, workLeft: 120, dueParts: [{ at: '2026-03-01T10:00:00Z', minutesAfter: 120 }] }
    expect(jobEnds(overdue, now)).toEqual(new Date('2026-03-02T11:00:00Z'))
    expect(jobEnds(overdue, new Date('2026-03-02T12:00:00Z'))).toEqual(new Date('2026-03-02T14:00:00Z'))
  })
})
