import { expect, it } from 'vitest'
import { setRight, setRightNow } from './set-right'

const now = Date.parse('2026-03-31T08:00:00.000Z')
const said = (deviceTime: string) => ({ deviceTime })

it('leaves a clock alone that is right, or nearly', () => {
  const event = said('2026-03-31T07:59:00.000Z')
  expect(setRight(event, 0, now)).toBe(event)
  expect(setRight(event, 40_000, now)).toBe(event)
})
it('moves what a clock said that is thirty days slow, and keeps what it said', () => {
  expect(setRight(said('2026-03-01T07:00:00.000Z'), 30 * 86_400_000, now)).toEqual({
    deviceTime: '2026-03-31T07:00:00.000Z',
    saidAt: '2026-03-01T07:00:00.000Z',
  })
})
it('lets nothing happen later than now', () => {
  expect(setRight(said('2026-04-09T07:00:00.000Z'), 0, now)).toEqual({
    deviceTime: '2026-03-31T08:00:00.000Z',
    saidAt: '2026-04-09T07:00:00.000Z',
  })
})
it('takes what is posted as it happens to happen now', () => {
  expect(setRightNow('2026-03-01T08:00:00.000Z', now)).toEqual({
    deviceTime: '2026-03-31T08:00:00.000Z',
    saidAt: '2026-03-01T08:00:00.000Z',
  })
  expect(setRightNow('2026-03-31T07:59:30.000Z', now)).toEqual({ deviceTime: '2026-03-31T07:59:30.000Z' })
})
it('keeps the moment of what was done without signal, and sets it right where the clock was wrong at the posting', () => {
  const [done, sent] = ['2026-03-30T15:00:00.000Z', '2026-03-31T08:00:00.000Z']
  expect(setRightNow(done, now, sent)).toEqual({ deviceTime: done })
  expect(setRightNow('2026-03-30T12:00:00.000Z', now, '2026-03-31T05:00:00.000Z')).toEqual({
    deviceTime: done,
    saidAt: '2026-03-30T12:00:00.000Z',
  })
})
