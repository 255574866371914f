import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { crossPattern } from './cross-pattern'

const count = fc.integer({ min: 1, max: 48 })

describe('crossPattern', () => {
  it('goes over every bolt once', () => {
    fc.assert(
      fc.property(count, n => {
        expect([...crossPattern(n)].sort((a, b) => a - b)).toEqual(Array.from({ length: n }, (_, index) => index))
      }),
    )
  })
  it('crosses straight over on every second bolt of an even circle', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 24 }), half => {
        const order = crossPattern(2 * half)
        for (let turn = 0; turn < order.length; turn += 2) expect(order[turn + 1]! - order[turn]!).toBe(half)
      }),
    )
  })
  it('never goes to a neighbour when the circle has more than three bolts', () => {
    fc.assert(
      fc.property(fc.integer({ min: 5, max: 48 }), n => {
        const order = crossPattern(n)
        for (let turn = 1; turn < order.length; turn++) {
          const steps = Math.abs(order[turn]! - order[turn - 1]!)
          expect(Math.min(steps, n - steps)).toBeGreaterThan(1)
        }
      }),
    )
  })
  it.each([0, -4, 2.5, NaN])('refuses %s bolts', n => {
    expect(() => crossPattern(n)).toThrow(RangeError)
  })
})
