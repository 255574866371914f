import { expect, it } from 'vitest'
import type { JobEvent } from '../../core/job'
import { actAgain } from './act-again'

const event = (type: string, payload: unknown, more: Partial<JobEvent> = {}) =>
  ({
    id: 'e',
    jobId: 'j',
    seq: 7,
    deviceId: 'd',
    deviceTime: '2026-03-02T10:00:00.000Z',
    personId: 'p',
    type,
    payload,
    ...more,
  }) as JobEvent

it('is the same act of the same person, without a number', () => {
  const again = actAgain(event('note-added', { text: 'x' }, { saidAt: '2026-03-02T08:00:00.000Z' }))
  expect(again).toEqual(event('note-added', { text: 'x' }, { seq: null }))
})
it('asks the server for another way, as it was asked then, by this device’s clock', () => {
  const circumstances = { helper: null }
  const payload = { procedure: { options: { flywheel: 'new' } }, circumstances, clock: { utcOffsetMinutes: 60 } }
  const { by } = actAgain(event('options-switched', payload), 3_600_000)
  expect(by).toEqual({
    id: 'e',
    posts: [
      {
        path: '/api/jobs/j/options',
        body: {
          id: 'e',
          options: { flywheel: 'new' },
          circumstances,
          personId: 'p',
          deviceId: 'd',
          at: '2026-03-02T09:00:00.000Z',
          utcOffsetMinutes: 60,
        },
      },
    ],
  })
})
