import { describe, expect, it } from 'vitest'
import { seededRandom } from '../base/random'
import { normal } from '../base/variates'
import { calibration } from './calibration'
import { foretoldBefore, ownPace, paceOnTop } from './own-pace'
import type { JobWorked } from './own-pace'

const estimates = Array.from({ length: 40 }, () => [6, 10, 17] as [number, number, number])
const planned = 40 * ((6 + 40 + 17) / 6)
const jobs = (count: number, factor: (random: () => number) => number): JobWorked[] => {
  const random = seededRandom(5)
  return Array.from({ length: count }, () => ({ estimates, actualMinutes: planned * factor(random) }))
}

describe('the pace of a garage', () => {
  it('is learned from whole jobs, and few pieces are none', () => {
    const slow = jobs(30, random => 1.3 * Math.exp(0.15 * normal(random)))
    const { mean, sigma, n } = ownPace([...slow, { estimates: estimates.slice(0, 2), actualMinutes: 900 }])
    expect(n).toBe(30)
    expect(Math.exp(mean)).toBeGreaterThan(1.18)
    expect(Math.exp(mean)).toBeLessThan(1.4)
    expect(sigma).toBeGreaterThan(0.1)
    expect(sigma).toBeLessThan(0.25)
  })
  it('foretells each job by those before it, so that what is foretold comes true', () => {
    const pairs = foretoldBefore(jobs(60, random => Math.exp(0.2 + 0.2 * normal(random))))
    expect(pairs).toHaveLength(60)
    const { coverage, pit } = calibration(pairs)
    expect(coverage[80]).toBeGreaterThan(0.68)
    expect(coverage[80]).toBeLessThan(0.92)
    expect(pit.every(share => share >= 0 && share <= 1)).toBe(true)
    // The first knows nothing yet.
    const [first] = foretoldBefore(jobs(1, () => 1))
    expect(first!.predicted.length).toBeGreaterThan(100)
  })
  it('counts troubles by themselves, and foretells them', () => {
    const random = seededRandom(8)
    const troubled = (of: number) => ({ estimates: estimates.slice(0, of), actualMinutes: of * 60 })
    const pieces = Array.from({ length: 24 }, (): JobWorked => {
      const clean = ((40 - 2) / 40) * planned * Math.exp(0.1 * normal(random))
      return { estimates, actualMinutes: clean + 120, troubled: troubled(2) }
    })
    const { mean, troublesPerJob } = ownPace(pieces)
    // Two troubles a job, four jobs' worth of one a job against twenty-four.
    expect(troublesPerJob).toBeCloseTo((4 * 1 + 24 * 2) / 28, 9)
    expect(Math.abs(mean)).toBeLessThan(0.06)
    const middle = ({ predicted }: { predicted: readonly number[] }) => predicted[predicted.length >> 1]!
    const quiet = pieces.map(({ estimates: all, actualMinutes }) => ({
      estimates: all,
      actualMinutes: actualMinutes - 120,
    }))
    expect(middle(foretoldBefore(pieces).at(-1)!)).toBeGreaterThan(middle(foretoldBefore(quiet).at(-1)!) + 10)
  })
  it('is not counted twice where the plan holds the garage’s own minutes', () => {
    const pace = { mean: Math.log(1.2), sigma: 0.2, weight: 0.8, n: 16 }
    const own = estimates.map(from => ({ from, minutes: from.map(value => value * 1.2) as typeof from }))
    expect(paceOnTop(pace, own).mean).toBeCloseTo(0, 9)
    expect(paceOnTop(pace, []).mean).toBe(pace.mean)
  })
})
