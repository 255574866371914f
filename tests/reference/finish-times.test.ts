import { describe, expect, it } from 'vitest'
import { packs, sequence } from '../../core'
import { shelf } from '../support/packs'

const chain: packs.ThreePoint[] = [
  [3, 5, 9],
  [8, 12, 20],
  [1, 2, 8],
  [4, 7, 14],
  [10, 18, 45],
  [2, 2, 6],
]
const steps = (estimates: packs.ThreePoint[], setupMinutes = 0): sequence.TimedStep[] =>
  estimates.map(estimate => ({ setupMinutes, estimate, waits: [], notBefore: 0 }))

/** Grid of the convolution, in minutes. */
const GRID = 0.05

/** Density of the beta curve of an estimate on the grid, from its formula, scaled so that it adds up to one. */
function density([low, likely, high]: packs.ThreePoint): number[] {
  const a = (4 * (likely - low)) / (high - low)
  const cells = Math.round((high - low) / GRID)
  const raw = Array.from({ length: cells }, (_, cell) => {
    const x = (cell + 0.5) / cells
    return x ** a * (1 - x) ** (4 - a)
  })
  const sum = raw.reduce((total, value) => total + value, 0)
  return raw.map(value => value / sum)
}

function convolve(one: number[], other: number[]): number[] {
  const result = new Array<number>(one.length + other.length - 1).fill(0)
  for (const [i, x] of one.entries()) for (const [j, y] of other.entries()) result[i + j]! += x * y
  return result
}

/** Formula: the exact distribution of a sum of independent estimates, by numerical convolution. */
describe('finishTimes against the exact distribution', () => {
  const exact = chain.map(density).reduce(convolve)
  const least = chain.reduce((sum, [low]) => sum + low, 0) + (chain.length * GRID) / 2
  const times = sequence.finishTimes(steps(chain), null)

  it.each([0.05, 0.2, 0.5, 0.8, 0.9, 0.95])('has the percentile %d within one in a hundred', share => {
    let below = 0
    let cell = 0
    while (below < share) below += exact[cell++]!
    expect(Math.abs(sequence.finishBy(times, share) / (least + cell * GRID) - 1)).toBeLessThan(0.01)
  })
  it('has the mean of PERT, and the variance of the beta curve', () => {
    const mean = times.reduce((sum, time) => sum + time, 0) / times.length
    const variance = times.reduce((sum, time) => sum + (time - mean) ** 2, 0) / times.length
    const expected = chain.reduce((sum, estimate) => sum + sequence.pertMean(estimate), 0)
    // Closed form for α + β = 6: (μ − low)(high − μ) / 7.
    const spread = chain.reduce(
      (sum, estimate) =>
        sum + ((sequence.pertMean(estimate) - estimate[0]) * (estimate[2] - sequence.pertMean(estimate))) / 7,
      0,
    )
    expect(Math.abs(mean / expected - 1)).toBeLessThan(0.005)
    expect(Math.abs(variance / spread - 1)).toBeLessThan(0.05)
  })
  it('gives the odds that belong to a percentile', () => {
    for (const share of [0.1, 0.5, 0.8])
      expect(sequence.oddsBy(times, sequence.finishBy(times, share))).toBeCloseTo(share, 2)
    expect(sequence.oddsBy(times, 0)).toBe(0)
    expect(sequence.oddsBy(times, 1e6)).toBe(1)
  })
})

/** Formula: mean (low + 4 likely + high) / 6 and variance ((high − low) / 6)² of PERT, added along a chain. */
describe('PERT along a chain', () => {
  it('adds up', () => {
    expect(sequence.pertMean([3, 5, 9])).toBeCloseTo((3 + 20 + 9) / 6, 12)
    expect(sequence.pertVariance([3, 5, 9])).toBeCloseTo(1, 12)
    expect(chain.reduce((sum, estimate) => sum + sequence.pertMean(estimate), 0)).toBeCloseTo(
      (28 + 4 * 46 + 102) / 6,
      12,
    )
  })
  it('has its quantiles between low and high, the middle near the likely', () => {
    expect(sequence.quantileOf([2, 6, 10], 0)).toBe(2)
    expect(sequence.quantileOf([2, 6, 10], 1)).toBe(10)
    expect(sequence.quantileOf([2, 6, 10], 0.5)).toBeCloseTo(6, 2)
    expect(sequence.quantileOf([4, 4, 4], 0.3)).toBe(4)
  })
})

/** Formula: the longest of the sums along the chains of a network. */
describe('criticalPath', () => {
  const step = (id: string, minutes: number) => ({ id, minutes })
  it('is the sum of a chain, waits counted', () => {
    expect(
      sequence.criticalPath(
        [step('a', 5), step('b', 7), step('c', 1)],
        [
          { before: 'a', after: 'b', waitMinutes: 60 },
          { before: 'b', after: 'c' },
        ],
      ),
    ).toEqual({ ids: ['a', 'b', 'c'], minutes: 73 })
  })
  it('is the longest of several chains', () => {
    const links = [
      { before: 'a', after: 'd' },
      { before: 'b', after: 'c' },
      { before: 'c', after: 'd' },
    ]
    expect(sequence.criticalPath([step('a', 12), step('b', 4), step('c', 9), step('d', 2)], links)).toEqual({
      ids: ['b', 'c', 'd'],
      minutes: 15,
    })
    expect(sequence.criticalPath([], [])).toEqual({ ids: [], minutes: 0 })
  })
})

describe('finishTimes with waits, hours and parts', () => {
  const fixed = (minutes: number): packs.ThreePoint => [minutes, minutes, minutes]
  const at = (list: sequence.TimedStep[], calendar: sequence.Calendar | null = null) =>
    sequence.finishTimes(list, calendar, { draws: 3 })[1]
  it('waits out what has to be waited for', () => {
    const [seal, torque] = steps([fixed(5), fixed(10)])
    expect(at([seal!, { ...torque!, waits: [{ after: 0, minutes: 60 }] }])).toBe(75)
    expect(at([seal!, { ...torque!, notBefore: 200 }])).toBe(210)
  })
  it('lays work down at closing time', () => {
    const calendar = {
      hours: { fromMinute: 480, toMinute: 1020, weekdays: [1, 2, 3, 4, 5] },
      startMinuteOfDay: 960,
      startWeekday: 1,
    }
    expect(at(steps([fixed(90)]), calendar)).toBe(60 + 15 * 60 + 30)
  })
  it('is the same for the same seed and another for another', () => {
    expect(sequence.finishTimes(steps(chain), null, { draws: 50 })).toEqual(
      sequence.finishTimes(steps(chain), null, { draws: 50 }),
    )
    expect(sequence.finishTimes(steps(chain), null, { draws: 50, seed: 2 })).not.toEqual(
      sequence.finishTimes(steps(chain), null, { draws: 50 }),
    )
  })
})

/** Almanac values for the end of civil twilight at 51.5° N, 0.1° W, from memory: 16:33 UTC on 21 December, 21:09 UTC on 21 June, within four minutes. */
describe('darkFrom', () => {
  it.each([
    [355, 16 * 60 + 33],
    [172, 21 * 60 + 9],
  ])('on day %d', (day, minutes) => {
    expect(Math.abs(sequence.darkFrom(51.5, -0.1, day)! - minutes)).toBeLessThan(4)
  })
  it('is half a day and some twenty minutes after sunrise on the equator, whatever the day', () => {
    for (const day of [1, 80, 172, 266])
      expect(Math.abs(sequence.darkFrom(0, 0, day)! - (18 * 60 + 23))).toBeLessThan(18)
  })
  it('knows places where it does not get dark', () => {
    expect(sequence.darkFrom(66, 20, 172)).toBeNull()
  })
})

/** The headline of a job and the middle of the drawn finish times are the same promise. */
describe.each([...shelf.packs.values()])('even odds of $id', pack => {
  it('lie where the minutes of even odds add up to, within two in a hundred, and not before', () => {
    const procedure = packs.expandPack(pack)
    const plan = sequence.planJob(procedure)
    const headline = plan.steps.reduce(
      (sum, step) => sum + sequence.expectedMinutes(procedure, step) + step.setupMinutes + step.waitMinutes,
      0,
    )
    const drawn = sequence.finishBy(
      sequence.finishTimes(sequence.stepsToRun(procedure, plan.setting, plan.steps, new Map(), new Map()), null),
      0.5,
    )
    expect(Math.abs(headline / drawn - 1)).toBeLessThan(0.02)
    expect(headline).toBeGreaterThan(plan.totals.minutes)
  })
})
