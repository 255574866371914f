import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { learnMinutes, PRIOR_WEIGHT } from './learn-minutes'
import { seededRandom } from '../base/random'
import { drawer, pertMean } from './three-point'

const prior: [number, number, number] = [5, 10, 21]

describe('learnMinutes', () => {
  it('is the pack’s estimate while nothing was seen', () => {
    expect(learnMinutes(prior, [])).toEqual({ minutes: prior, factor: 1, weight: 0, used: 0, setAside: [] })
  })
  it('is the closed form: the weighted middle of logarithms', () => {
    const seen = [12, 15, 9, 14]
    const { minutes, factor, weight } = learnMinutes(
      prior,
      seen.map(each => ({ minutes: each })),
    )
    // By hand, with k = n = 4: a mean of 11 and a spread of 16/6 make s² = ln(1 + 7.11 / 121) = 0.0571 and a middle of 2.3693.
    const square = Math.log(1 + (16 / 6) ** 2 / 121)
    const mean = seen.reduce((sum, each) => sum + Math.log(each), 0) / 4
    const around = seen.reduce((sum, each) => sum + (Math.log(each) - mean) ** 2, 0)
    const learned = (PRIOR_WEIGHT * square + around) / (PRIOR_WEIGHT + 3)
    const expected = Math.exp((Math.log(11) - square / 2) / 2 + mean / 2 + learned / 2)
    expect(weight).toBe(0.5)
    expect(pertMean(minutes)).toBeCloseTo(expected, 9)
    expect(factor).toBeCloseTo(expected / 11, 12)
  })
  it('is neither too short nor too long on average where the pack is right', () => {
    const random = seededRandom(11)
    const draw = drawer(prior)
    const factors = Array.from(
      { length: 4000 },
      () =>
        learnMinutes(
          prior,
          Array.from({ length: 8 }, () => ({ minutes: draw(random()) })),
        ).factor,
    )
    expect(factors.reduce((sum, factor) => sum + factor, 0) / factors.length).toBeCloseTo(1, 1.7)
  })
  it('learns how much a garage scatters', () => {
    const width = (times: number[]) => {
      const { minutes } = learnMinutes(
        prior,
        times.map(each => ({ minutes: each })),
      )
      return (minutes[2] - minutes[0]) / pertMean(minutes)
    }
    const even = Array.from({ length: 20 }, () => 11)
    const uneven = Array.from({ length: 20 }, (_, index) => (index % 2 ? 7 : 17))
    expect(width(even)).toBeLessThan(0.7 * width([]))
    expect(width(uneven)).toBeGreaterThan(1.2 * width([]))
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
        // A time is compared with the middle of the estimate, which lies a little below its mean.
        expect(mean(count)).toBeGreaterThanOrEqual(low * 0.97)
        expect(mean(count)).toBeLessThanOrEqual(high * 1.03)
        expect(Math.abs(mean(count + 1) - each)).toBeLessThanOrEqual(Math.abs(mean(count) - each) + 0.03 * each)
      }),
    )
  })
  it('names what is not to be learned from', () => {
    expect(() => learnMinutes([5, 4, 9], [])).toThrow('rising order')
    expect(() => learnMinutes(prior, [{ minutes: 0 }])).toThrow('above zero')
  })
})
