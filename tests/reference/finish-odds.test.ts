import jstat from 'jstat'
import { describe, expect, it } from 'vitest'
import { seededRandom } from '../../core/base/random'
import { normal, poisson, studentT } from '../../core/base/variates'
import { calibration, finishOdds, learnPace, meanMinutes, promiseShare } from '../../core/sequence'
import type { TimedStep } from '../../core/sequence'
import { degreesOf, foretoldSigma } from '../../core/sequence/learn-pace'
import { pertMean } from '../../core/sequence/three-point'
import { coverageOf, someSteps, truths } from '../support/garage-truth'

const mean = (values: ArrayLike<number>) => Array.from(values).reduce((sum, value) => sum + value, 0) / values.length
const step = (minutes: number, change: Partial<TimedStep> = {}): TimedStep => ({
  setupMinutes: 0,
  estimate: [minutes, minutes, minutes],
  waits: [],
  notBefore: 0,
  ...change,
})
const drawn = (draw: (random: () => number) => number, count = 200_000) => {
  const random = seededRandom(3)
  return Array.from({ length: count }, () => draw(random)).sort((a, b) => a - b)
}
const at = (values: number[], share: number) => values[Math.floor(share * values.length)]!

describe('draws', () => {
  // Quantiles: jstat, a library of the registry.
  it.each([3, 7, 24])('Student’s t with %i degrees has the quantiles of the library', degrees => {
    const values = drawn(random => studentT(random, degrees))
    for (const share of [0.05, 0.2, 0.5, 0.8, 0.95])
      expect(at(values, share)).toBeCloseTo(jstat.studentt.inv(share, degrees), 1)
  })
  it('the normal curve and Poisson’s have theirs', () => {
    const values = drawn(normal)
    for (const share of [0.025, 0.5, 0.9]) expect(at(values, share)).toBeCloseTo(jstat.normal.inv(share, 0, 1), 1)
    const counts = drawn(random => poisson(random, 2.5), 100_000)
    expect(mean(counts)).toBeCloseTo(2.5, 1)
    expect(counts.filter(count => count === 0).length / counts.length).toBeCloseTo(jstat.poisson.pdf(0, 2.5), 2)
  })
})

describe('finish odds', () => {
  it('one step of no spread is a lognormal curve that is one on average', () => {
    // Closed form: e^(σz − σ²/2) has mean 1 and quantile e^(σ z_p − σ²/2).
    const sigma = Math.hypot(0.2, 0.12)
    const odds = finishOdds({ steps: [step(100)], calendar: null }, { draws: 100_000 })
    expect(mean(odds.minutes)).toBeCloseTo(100, 0)
    for (const share of [0.2, 0.5, 0.8])
      expect(odds.quantile(share) / 100).toBeCloseTo(
        Math.exp(sigma * jstat.normal.inv(share, 0, 1) - sigma ** 2 / 2),
        2,
      )
    expect(odds.oddsBy(odds.quantile(0.8))).toBeCloseTo(0.8, 2)
  })
  it('all of it is long or short together: a hundred steps spread as one does', () => {
    const steps = someSteps(seededRandom(5))
    const odds = finishOdds({ steps, calendar: null }, { draws: 20_000 })
    const spread = Math.log(odds.quantile(0.8) / odds.quantile(0.5))
    expect(spread).toBeCloseTo(Math.hypot(0.2, 0.12) * jstat.normal.inv(0.8, 0, 1), 1)
    expect(mean(odds.minutes)).toBeCloseTo(meanMinutes(steps), -1)
    // The old way of drawing each by itself was surer than anybody can be.
    const alone = finishOdds({ steps, calendar: null }, { carSigma: 0, personSigma: 0, draws: 20_000 })
    expect(Math.log(alone.quantile(0.8) / alone.quantile(0.5))).toBeLessThan(0.05)
  })
  it('troubles add their rate times their mean, and a part that comes tomorrow a day', () => {
    // Closed form: mean of a lognormal is e^(μ + σ²/2); E[f²] of the factor is e^(σ²).
    const trouble = { perJob: 0.6, minutes: 30, sigma: 0.5 }
    const plain = finishOdds(
      { steps: [step(100)], calendar: null },
      { troubles: [trouble], carSigma: 0, personSigma: 0, draws: 200_000 },
    )
    expect(mean(plain.minutes)).toBeCloseTo(100 + 0.6 * 30 * Math.exp(0.125), 0)
    const part = finishOdds(
      { steps: [step(100)], calendar: null },
      { troubles: [{ perJob: 20, minutes: 1, sigma: 0, partTomorrow: 1 }], carSigma: 0, personSigma: 0 },
    )
    expect(part.quantile(0.5)).toBeGreaterThan(1440)
  })
  it('what is done of the job moves the rest, and a step that takes its time goes on', () => {
    const steps = [step(60), step(60)]
    const before = finishOdds({ steps, calendar: null })
    const slow = finishOdds({ steps, calendar: null }, { observed: [{ plannedMinutes: 240, actualMinutes: 340 }] })
    expect(slow.quantile(0.5) / before.quantile(0.5)).toBeGreaterThan(1.2)
    // Closed form: precision of the prior, and thirty steps' worth at 0.35 each.
    const sigma2 = 0.2 ** 2 + 0.12 ** 2
    const said = 30 / 0.35 ** 2
    const middle = (-0.5 + said * Math.log(340 / 240)) / (1 / sigma2 + said)
    expect(Math.log(slow.quantile(0.5) / 120)).toBeCloseTo(middle, 2)
    const spread = (odds: typeof slow) => Math.log(odds.quantile(0.8) / odds.quantile(0.2))
    expect(spread(slow)).toBeLessThan(spread(before) / 2)
    const inHand: TimedStep = { ...step(10), estimate: [5, 10, 40] }
    const left = (elapsedMinutes: number) =>
      finishOdds({ steps: [inHand], calendar: null }, { elapsedMinutes }).quantile(0.5)
    expect(left(20)).toBeLessThan(left(0))
    expect(left(20)).toBeGreaterThan(1)
    expect(left(500)).toBeCloseTo(50, 5)
  })
  it('keeps working hours, waits and days of parts as the plan does', () => {
    const hours = { fromMinute: 480, toMinute: 1080, weekdays: [0, 1, 2, 3, 4, 5, 6] }
    const calendar = { hours, startMinuteOfDay: 1020, startWeekday: 1 }
    const none = { carSigma: 0, personSigma: 0 }
    // An hour is left of the day: the second goes on at eight.
    expect(finishOdds({ steps: [step(120)], calendar }, none).quantile(0.5)).toBe(60 + 840 + 60)
    const waits = [step(10), step(10, { waits: [{ after: 0, minutes: 100 }] })]
    expect(finishOdds({ steps: waits, calendar: null }, none).quantile(0.5)).toBe(120)
  })
  it('names what cannot be', () => {
    const one = { steps: [step(10)], calendar: null }
    expect(() => finishOdds(one, { carSigma: NaN })).toThrow('carSigma')
    expect(() => finishOdds(one, { troubles: [{ perJob: -1, minutes: 5, sigma: 1 }] })).toThrow('troubles[0].perJob')
    expect(() => finishOdds(one, { observed: [{ plannedMinutes: 0, actualMinutes: 5 }] })).toThrow('observed[0]')
    expect(finishOdds({ steps: [], calendar: null }).quantile(0.8)).toBe(0)
  })
})

it('a promise is made by what a day late costs against a day too early', () => {
  // By hand: 90 late against 30 early is the quantile 90 / 120; no other share costs less on average over a curve.
  const share = promiseShare({ latePerDay: 90, earlyPerDay: 30 })
  expect(share).toBe(0.75)
  const { minutes, quantile } = finishOdds({ steps: [step(100)], calendar: null }, { draws: 20_000 })
  const cost = (at: number) =>
    mean(Array.from(minutes, minute => (minute > at ? 90 * (minute - at) : 30 * (at - minute))))
  for (const other of [0.5, 0.65, 0.85, 0.95]) expect(cost(quantile(share))).toBeLessThan(cost(quantile(other)))
  expect(() => promiseShare({ latePerDay: 0, earlyPerDay: 0 })).toThrow('both')
})

describe('pace', () => {
  it('is the posterior of a normal curve with middle and spread unknown', () => {
    const ratios = [1.1, 1.25, 0.95, 1.3, 1.15]
    const pace = learnPace(ratios.map(ratio => ({ actualMinutes: 600 * ratio, plannedMinutes: 600 })))
    // By hand, with four jobs at 0 and two at spread 0.2332 before: κ = 9, ν = 7, μ = Σx/9, νσ² = 2·0.2332² + Σ(x−x̄)² + (4·5/9)x̄².
    const logs = ratios.map(Math.log)
    const middle = mean(logs)
    const square =
      (2 * (0.2 ** 2 + 0.12 ** 2) + logs.reduce((sum, x) => sum + (x - middle) ** 2, 0) + (20 / 9) * middle ** 2) / 7
    expect(pace.n).toBe(5)
    expect(pace.weight).toBeCloseTo(5 / 9, 12)
    expect(pace.mean).toBeCloseTo(logs.reduce((sum, x) => sum + x, 0) / 9, 12)
    expect(pace.sigma).toBeCloseTo(Math.sqrt(square), 12)
    expect([degreesOf(pace), foretoldSigma(pace)]).toEqual([7, pace.sigma * Math.sqrt(1 + 1 / 9)])
    expect(learnPace([])).toMatchObject({ mean: 0, weight: 0, n: 0 })
    expect(() => learnPace([{ actualMinutes: NaN, plannedMinutes: 5 }])).toThrow('observations[0].actualMinutes')
  })
})

describe('calibration', () => {
  const predicted = Array.from({ length: 100 }, (_, index) => index + 1)
  it('counts what came true', () => {
    const pairs = [10, 50, 80, 81, 96].map(actual => ({ predicted, actual }))
    const { pit, coverage } = calibration(pairs)
    expect(pit).toEqual([0.095, 0.495, 0.795, 0.805, 0.955])
    expect(coverage).toEqual({ 50: 2 / 5, 80: 3 / 5, 95: 4 / 5 })
  })
  it('loses least where what was foretold is right and sharp', () => {
    const loss = (draws: number[]) => calibration([{ predicted: draws, actual: 50 }]).pinball
    expect(loss([50])).toBe(0)
    expect(loss([45, 50, 55])).toBeLessThan(loss(predicted))
    // By hand: a certain 60 for 50 loses (1 − p)·10 at each share, 5 on average.
    expect(loss([60])).toBeCloseTo(5, 12)
    expect(() => calibration([])).toThrow('pairs')
    expect(() => calibration([{ predicted: [NaN], actual: 1 }])).toThrow('pairs[0].predicted[0]')
  })
})

describe('eight in ten comes true (short form of npm run perf:odds)', () => {
  it.each(truths)('%s', truth => {
    const { defaults, learned } = coverageOf(truth, 300, { draws: 200 })
    // Of 300 garages a share of 0.8 lies within ± 0.07 in 997 of 1000 trials.
    expect(defaults).toBeGreaterThan(0.7 - 0.03)
    expect(defaults).toBeLessThan(0.9 + 0.03)
    expect(learned).toBeGreaterThan(0.73)
    expect(learned).toBeLessThan(0.87)
  })
})

it('a planned mean is the sum of the means', () => {
  const steps = someSteps(seededRandom(1))
  expect(meanMinutes(steps)).toBeCloseTo(
    steps.reduce((sum, each) => sum + each.setupMinutes + pertMean(each.estimate), 0),
    9,
  )
})
