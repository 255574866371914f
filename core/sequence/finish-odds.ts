import { seededRandom } from '../base/random'
import { within } from '../base/field-error'
import { normal, poisson, studentT } from '../base/variates'
import type { Calendar } from './calendar'
import { checkSteps, finishBy, oddsBy } from './finish-times'
import type { TimedStep } from './finish-times'
import { degreesOf, foretoldSigma } from './learn-pace'
import type { Pace, PaceObserved } from './learn-pace'
import { runner } from './run-through'
import { drawer, pertMean } from './three-point'

/** Something that goes wrong now and then. */
export interface TroubleOdds {
  /** How often on an ordinary car, in the steps left. */
  perJob: number
  /** What it takes in half of the cases, in minutes, and the spread of its logarithm. */
  minutes: number
  sigma: number
  /** How often it wants a part that comes tomorrow, from 0 to 1. */
  partTomorrow?: number
  /** The place of the step it befalls; any, where it is left out. */
  at?: number
}

export interface OddsSetting {
  /** Spread of ln(minutes) from car to car: rust, age, whether it was apart before. Common practice, no source. */
  carSigma?: number
  /** Spread of ln(minutes) from person to person on one layout. Common practice, no source. */
  personSigma?: number
  /** The pace that the garage's own jobs have shown, in the place of both. */
  pace?: Pace
  troubles?: readonly TroubleOdds[]
  /** What is done of this very job: it says how this car goes. */
  observed?: readonly PaceObserved[]
  /** Minutes of work that the first step has had already. */
  elapsedMinutes?: number
  draws?: number
  seed?: number
}

export interface FinishOdds {
  /** The minute by which the work is finished in a share of the cases. */
  quantile: (share: number) => number
  /** The share of cases in which it is finished by a minute. */
  oddsBy: (minute: number) => number
  /** Every case, in rising order. */
  minutes: Float64Array
}

export const CAR_SIGMA = 0.2
export const PERSON_SIGMA = 0.12
/** Spread of ln(minutes) of a single piece of work about its estimate: what one step says of the car is blurred by it. Common practice, no source. */
const STEP_SIGMA = 0.35
/** What is one piece of work, in minutes: a stretch of so many says as much as one step. */
const STEP_MINUTES = 8
/** A rusty car has more troubles in the same measure as it takes longer, squared. Common practice, no source. */
const TROUBLES_GROW = 2
const PART_WAIT_MINUTES = 1440
const DRAWS = 10_000
const TRIES = 40

/**
 * When work will be finished, as a curve. A car and a person make all of it longer or shorter together, by a factor e^(G + M) that is one on
 * average; each step is drawn by its own estimate; troubles come on top, more of them on a car that goes slowly. What is done of the job
 * narrows the factor for the rest, and the step in hand has taken what it has taken.
 * Same steps, same seed: same curve.
 * @param work steps as `finishTimes` takes them, and working hours whose minute 0 is now (`null` counts straight through)
 * @throws FieldError on a spread, a rate or a time that cannot be
 */
export function finishOdds(
  { steps, calendar }: { steps: readonly TimedStep[]; calendar: Calendar | null },
  setting: OddsSetting = {},
): FinishOdds {
  const { troubles = [], elapsedMinutes = 0, draws = DRAWS, seed = 1 } = setting
  checkSteps(steps)
  within('draws', draws, 1, 1_000_000, 'How many are drawn')
  within('elapsedMinutes', elapsedMinutes, 0, 100_000, 'The time the step has had')
  troubles.forEach(({ perJob, minutes, sigma, partTomorrow = 0 }, index) => {
    within(`troubles[${index}].perJob`, perJob, 0, 50, 'How often something goes wrong')
    within(`troubles[${index}].minutes`, minutes, 0, 10_000, 'What it takes')
    within(`troubles[${index}].sigma`, sigma, 0, 3, 'Its spread')
    within(`troubles[${index}].partTomorrow`, partTomorrow, 0, 1, 'How often a part is wanted')
  })
  const random = seededRandom(seed)
  const factorOf = drawFactor(setting, random)
  const draw = steps.map(step => drawer(step.estimate))
  const run = runner(steps, calendar)
  const more = new Float64Array(steps.length)
  const held = new Float64Array(steps.length)
  const minutes = new Float64Array(draws)
  for (let round = 0; round < draws; round++) {
    const factor = factorOf()
    more.fill(0)
    held.fill(0)
    for (const trouble of steps.length > 0 ? troubles : []) {
      for (let left = poisson(random, trouble.perJob * factor ** TROUBLES_GROW); left > 0; left--) {
        const place = Math.min(trouble.at ?? Math.floor(random() * steps.length), steps.length - 1)
        more[place]! += trouble.minutes * Math.exp(trouble.sigma * normal(random))
        if (random() < (trouble.partTomorrow ?? 0)) held[place] = PART_WAIT_MINUTES
      }
    }
    const workOf = (index: number) => factor * draw[index]!(random())
    minutes[round] = run(
      index => (index === 0 && elapsedMinutes > 0 ? stillToDo(workOf, elapsedMinutes) : workOf(index)) + more[index]!,
      index => held[index]!,
    )
  }
  minutes.sort()
  return { quantile: share => finishBy(minutes, share), oddsBy: minute => oddsBy(minutes, minute), minutes }
}

/** What a step takes yet that has taken so long: one of the cases that are no shorter. */
function stillToDo(workOf: (index: number) => number, elapsedMinutes: number): number {
  for (let tries = 0; tries < TRIES; tries++) {
    const work = workOf(0)
    if (work > elapsedMinutes) return work - elapsedMinutes
  }
  // Longer than anybody foresaw: as long again as a tenth of it.
  return elapsedMinutes / 10
}

/** Draws e^(G + M): by the garage's own pace, or by car and person; narrowed by what is done of this job. */
function drawFactor(
  { carSigma = CAR_SIGMA, personSigma = PERSON_SIGMA, pace, observed = [] }: OddsSetting,
  random: () => number,
): () => number {
  within('carSigma', carSigma, 0, 2, 'The spread from car to car')
  within('personSigma', personSigma, 0, 2, 'The spread from person to person')
  const sigma = pace ? foretoldSigma(pace) : Math.hypot(carSigma, personSigma)
  // One on average, where nothing was learned: the longer cases weigh more than the shorter ones.
  const mean = pace ? pace.mean : -(sigma ** 2) / 2
  const known = posterior({ mean, variance: sigma ** 2 }, observed)
  const spread = Math.sqrt(known.variance)
  if (!pace) return () => Math.exp(known.mean + spread * normal(random))
  const degrees = degreesOf(pace)
  return () => Math.exp(known.mean + spread * studentT(random, degrees))
}

/** What is known of ln(actual / planned) once parts of this job are done; each says as much as it has steps in it. */
function posterior(
  prior: { mean: number; variance: number },
  observed: readonly PaceObserved[],
): { mean: number; variance: number } {
  if (prior.variance === 0) return prior
  let precision = 1 / prior.variance
  let weighted = prior.mean * precision
  observed.forEach(({ actualMinutes, plannedMinutes }, index) => {
    within(`observed[${index}].actualMinutes`, actualMinutes, 0.01, 1_000_000, 'What it took')
    within(`observed[${index}].plannedMinutes`, plannedMinutes, 0.01, 1_000_000, 'What was planned')
    const said = Math.max(1, plannedMinutes / STEP_MINUTES) / STEP_SIGMA ** 2
    precision += said
    weighted += said * Math.log(actualMinutes / plannedMinutes)
  })
  return { mean: weighted / precision, variance: 1 / precision }
}

/** The sum of what steps take on average, set-up and all, without waits. */
export const meanMinutes = (steps: readonly TimedStep[]): number =>
  steps.reduce((sum, { setupMinutes, estimate }) => sum + setupMinutes + pertMean(estimate), 0)

/**
 * By which share of cases a time is to be promised that costs the least on average: what a day late costs against what a day of waiting
 * for nothing costs (the newsvendor's quantile; Arrow, Harris and Marschak 1951, from memory).
 * @throws FieldError where neither costs anything
 */
export function promiseShare({ latePerDay, earlyPerDay }: { latePerDay: number; earlyPerDay: number }): number {
  within('latePerDay', latePerDay, 0, 1e9, 'What a day late costs')
  within('earlyPerDay', earlyPerDay, 0, 1e9, 'What a day too early costs')
  const both = within('latePerDay', latePerDay + earlyPerDay, Number.MIN_VALUE, 2e9, 'What both cost together')
  return latePerDay / both
}
