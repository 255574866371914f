import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { learnMinutes, PRIOR_WEIGHT } from './learn-minutes'
import { pertMean } from './three-point'

const prior: [number, number, number] = [5, 10, 21]

describe('learnMinutes', () => {
  it('is the pack’s estimate while nothing was seen', () => {
    expect(learnMinutes(prior, [])).toEqual({ minutes: prior, factor: 1, weight: 0, used: 0, setAside: [] })
  })
  it('is the closed form: the weighted mean of logarithms', () => {
    const seen = [12, 15, 9, 14]
    const { minutes, factor, weight } = learnMinutes(
      prior,
      seen.map(each => ({ minutes: each })),
    )
    // Posterior mean of a normal with known spread: (k m0 + n x̄) / (k + n); here k = n = 4, so the geometric mean of both halves.
    const expected = Math.exp(
      (PRIOR_WEIGHT * Math.log(pertMean(prior)) + seen.reduce((sum, each) => sum + Math.log(each), 0)) /
        (PRIOR_WEIGHT + seen.length),
    )
    expect(weight).toBe(0.5)
    expect(pertMean(minutes)).toBeCloseTo(expected, 9)
    expect(factor).toBeCloseTo(expected / pertMean(prior), 12)
    expect(minutes[2] / minutes[0]).toBeCloseTo(prior[2] / prior[0], 12)
  })
  it('sets aside what went wrong and what the timer slipped on, and says why', () => {
    const { used, setAside, factor } = learnMinutes(prior, [
      { minutes: 240, troubled: true },
      { minutes: 600 },
      { minutes: 0.2 },
      { minutes: 11 },
    ])
    expect(used).toBe(1)
    expect(setAside.map(entry => entry.because)).toEqual([
      'A trouble was written down on it.',
      'The timer ran on by itself, it seems.',
      'Too short to have been the whole of it.',
    ])
    expect(factor).toBeCloseTo(1, 1)
  })
  it('lies between the pack and what was seen, and nearer to what was seen the more there is (property)', () => {
    fc.assert(
      fc.property(fc.double({ min: 4, max: 30, noNaN: true }), fc.integer({ min: 1, max: 40 }), (each, count) => {
        const times = (n: number) => Array.from({ length: n }, () => ({ minutes: each }))
        const mean = (n: number) => pertMean(learnMinutes(prior, times(n)).minutes)
        const [low, high] = [Math.min(each, pertMean(prior)), Math.max(each, pertMean(prior))]
        expect(mean(count)).toBeGreaterThanOrEqual(low - 1e-9)
        expect(mean(count)).toBeLessThanOrEqual(high + 1e-9)
        expect(Math.abs(mean(count + 1) - each)).toBeLessThanOrEqual(Math.abs(mean(count) - each) + 1e-9)
      }),
    )
  })
  it('names what is not to be learned from', () => {
    expect(() => learnMinutes([5, 4, 9], [])).toThrow('rising order')
    expect(() => learnMinutes(prior, [{ minutes: 0 }])).toThrow('above zero')
  })
})
