import { expect, it } from 'vitest'
import { LONGEST_STRETCH_SECONDS, stretchSeconds } from './timers'

it('counts what lies between two moments, bounded by what anybody works', () => {
  expect(stretchSeconds('2026-03-02T08:00:00Z', '2026-03-02T08:10:30Z')).toBe(630)
  // A phone that is thirty days slow starts it, another stops it: 43 200 minutes are nobody's work.
  expect(stretchSeconds('2026-02-01T08:00:00Z', '2026-03-03T08:00:00Z')).toBe(LONGEST_STRETCH_SECONDS)
  expect(stretchSeconds('2026-03-02T08:00:00Z', '2026-02-01T08:00:00Z')).toBe(0)
})
