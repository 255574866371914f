import { seededRandom } from '../../core/base/random'
import { normal, studentT } from '../../core/base/variates'
import { finishOdds, learnPace } from '../../core/sequence'
import type { TimedStep } from '../../core/sequence'
import { drawer, pertMean } from '../../core/sequence/three-point'

/** How a garage really works, of which what is foretold knows nothing. */
export type Truth = 'model' | 'heavy tails' | 'drifting pace' | 'shared rust'
export const truths: Truth[] = ['model', 'heavy tails', 'drifting pace', 'shared rust']

/** Work of a hundred steps, some long, most short; sizes as those of the layouts. */
export function someSteps(random: () => number): TimedStep[] {
  return Array.from({ length: 100 }, () => {
    const likely = 2 + 10 * random() ** 2
    return {
      setupMinutes: random() < 0.3 ? 1 : 0,
      estimate: [likely * 0.6, likely, likely * 2.2],
      waits: [],
      notBefore: 0,
    }
  })
}

/** A garage with its people and its cars: how each next job of it really goes, as minutes. */
export function garageOf(truth: Truth, seed: number) {
  const random = seededRandom(seed)
  // The people of a garage have their own pace on the layout, the cars of its town their own rust.
  const person = -(0.12 ** 2) / 2 + 0.12 * normal(random)
  const town = truth === 'shared rust' ? 0.14 * normal(random) : 0
  const carSigma = truth === 'shared rust' ? Math.sqrt(0.2 ** 2 - 0.14 ** 2) : 0.2
  let drift = 0
  return (steps: readonly TimedStep[]): number => {
    const shock = truth === 'heavy tails' ? studentT(random, 4) / Math.SQRT2 : normal(random)
    // People come and go, and get used to things: the pace wanders from job to job.
    if (truth === 'drifting pace') drift += 0.03 * normal(random)
    const factor = Math.exp(person + town + drift - 0.02 + carSigma * shock)
    return steps.reduce((sum, step) => sum + step.setupMinutes + factor * drawer(step.estimate)(random()), 0)
  }
}

/** Of how many garages what was foretold with eight in ten came true: from the defaults alone, and after so many jobs of their own. */
export function coverageOf(
  truth: Truth,
  garages: number,
  { jobs = 20, draws = 400 } = {},
): { defaults: number; learned: number } {
  let [defaults, learned] = [0, 0]
  for (let seed = 1; seed <= garages; seed++) {
    const random = seededRandom(seed * 7919)
    const next = garageOf(truth, seed * 104_729)
    const seen = []
    const planned = (steps: readonly TimedStep[]) =>
      steps.reduce((sum, step) => sum + step.setupMinutes + pertMean(step.estimate), 0)
    for (let job = 0; job <= jobs; job++) {
      const steps = someSteps(random)
      const actual = next(steps)
      if (job === 0 && actual <= finishOdds({ steps, calendar: null }, { draws, seed }).quantile(0.8)) defaults++
      if (job === jobs) {
        const pace = learnPace(seen)
        if (actual <= finishOdds({ steps, calendar: null }, { pace, draws, seed }).quantile(0.8)) learned++
      }
      seen.push({ actualMinutes: actual, plannedMinutes: planned(steps) })
    }
  }
  return { defaults: defaults / garages, learned: learned / garages }
}
