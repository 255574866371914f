import { describe, expect, it } from 'vitest'
import { boundsOf, pathOf } from './car-shapes'

describe('shapes of a car drawing', () => {
  it('become paths with heights measured downward', () => {
    expect(pathOf(['rect', 10, 20, 30, 40], 100)).toBe('M10 80 h30 v-40 h-30 Z')
    expect(pathOf(['line', 0, 0, 10, 20], 100)).toBe('M0 100 L10 80')
    expect(pathOf(['shape', 0, 0, 10, 20, 20, 0], 100)).toBe('M0 100 L10 80 L20 100 Z')
    expect(pathOf(['circle', 50, 50, 10], 100)).toContain('M40 50 a10 10')
  })
  it('reach as far as the furthest of them', () => {
    expect(
      boundsOf([
        ['rect', 10, 20, 30, 40],
        ['circle', 0, 0, 5],
        ['line', -20, 90, 12, 3],
      ]),
    ).toEqual({ left: -20, right: 40, low: -5, high: 90 })
    expect(boundsOf([])).toBeNull()
  })
})
