import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { roundsLeft } from './rounds-left'

describe('roundsLeft', () => {
  it('finds the share of a geometric fall, and the rounds that follow from it', () => {
    // 8, 4, 2 ml: halved each round; 0.3 ml are reached after 2.74, so after three.
    const found = roundsLeft({ airMl: [8, 4, 2], allowedMl: 0.3 })
    expect(found.keeps).toBeCloseTo(0.5, 12)
    expect(found).toMatchObject({ rounds: 3, fewest: 3, most: 3 })
  })
  it('gives the span between the best and the worst round so far', () => {
    expect(roundsLeft({ airMl: [8, 2, 1.6], allowedMl: 0.2 })).toMatchObject({ fewest: 2, most: 10 })
  })
  it('promises nothing where it does not fall, and asks for nothing where it is good', () => {
    expect(roundsLeft({ airMl: [2, 2, 2.1], allowedMl: 0.2 })).toMatchObject({ rounds: null, most: null })
    expect(roundsLeft({ airMl: [2, 0.1], allowedMl: 0.2 })).toMatchObject({ rounds: 0, most: 0 })
  })
  it('names what is not to be reckoned with', () => {
    expect(() => roundsLeft({ airMl: [2], allowedMl: 0.2 })).toThrow('Two rounds')
    expect(() => roundsLeft({ airMl: [2, -1], allowedMl: 0.2 })).toThrow('between 0')
  })
  it('reaches the allowed air with just that many rounds, at any share', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.05, max: 0.95, noNaN: true }),
        fc.double({ min: 0.5, max: 20, noNaN: true }),
        fc.double({ min: 0.05, max: 0.4, noNaN: true }),
        (share, start, allowed) => {
          const airMl = [start, start * share, start * share ** 2]
          const { rounds } = roundsLeft({ airMl, allowedMl: allowed })
          const after = (count: number) => airMl[2]! * share ** count
          expect(after(rounds!)).toBeLessThanOrEqual(allowed * (1 + 1e-6))
          if (rounds! > 0) expect(after(rounds! - 1)).toBeGreaterThan(allowed * (1 - 1e-6))
        },
      ),
    )
  })
})
