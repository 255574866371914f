import { describe, expect, it } from 'vitest'
import { fasteners } from '../../core'

/**
 * Published, from memory: the legacy cross patterns of ASME PCC-1, bolts numbered round the circle from 1.
 * The six-bolt star is also printed as 1-4-6-3-5-2 and 1-4-2-5-3-6; both go straight across on every second bolt.
 */
describe('known cross patterns', () => {
  it.each([
    [4, [1, 3, 2, 4]],
    [6, [1, 4, 2, 5, 3, 6]],
    [8, [1, 5, 3, 7, 2, 6, 4, 8]],
    [12, [1, 7, 4, 10, 2, 8, 5, 11, 3, 9, 6, 12]],
  ])('%d bolts', (count, order) => {
    expect(fasteners.crossPattern(count).map(bolt => bolt + 1)).toEqual(order)
  })
  /** Common practice, no source: the five-bolt star of every road wheel. */
  it('5 bolts', () => {
    expect(fasteners.crossPattern(5).map(bolt => bolt + 1)).toEqual([1, 3, 5, 2, 4])
  })
})
