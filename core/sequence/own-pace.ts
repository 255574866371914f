import type { ThreePoint } from '../pack/kinds'
import type { Foretold } from './calibration'
import { finishOdds } from './finish-odds'
import type { TimedStep } from './finish-times'
import { learnPace } from './learn-pace'
import type { Pace, PaceObserved } from './learn-pace'
import { pertMean } from './three-point'
import { COMMON_TROUBLES, TROUBLE_SIGMA } from './trouble-odds'

/** A job that is over: what was estimated of each piece of work whose time is known, and what all of them took. */
export interface JobWorked {
  estimates: ThreePoint[]
  actualMinutes: number
  /** What of it something went wrong with. */
  troubled?: { estimates: ThreePoint[]; actualMinutes: number }
}

/** Less than this is no job, but a few pieces of one. Common practice, no source. */
const LEAST_MINUTES = 60
const DRAWS = 400
/** What a trouble of any kind takes in half of the cases. Common practice, no source. */
const TROUBLE_MINUTES = 15
/** Jobs that are looked back on at most. */
const NEWEST = 60

const plannedOf = (estimates: readonly ThreePoint[]): number =>
  estimates.reduce((sum, estimate) => sum + pertMean(estimate), 0)

/** What went well: troubles are no pace, they are counted by themselves. */
const observed = ({ estimates, actualMinutes, troubled }: JobWorked): PaceObserved => ({
  actualMinutes: actualMinutes - (troubled?.actualMinutes ?? 0),
  plannedMinutes: plannedOf(estimates) - plannedOf(troubled?.estimates ?? []),
})

function tells(job: JobWorked): boolean {
  const { actualMinutes, plannedMinutes } = observed(job)
  return plannedMinutes >= LEAST_MINUTES && actualMinutes > 0
}

/** Before any job was seen, common practice counts as so many. Common practice, no source. */
const PRIOR_COUNTS = 4

/**
 * The pace of a garage, and how often something goes wrong there (counts of a Poisson with a gamma prior; Gelman et al., from memory).
 * @param jobs in the order they were done
 */
export function ownPace(jobs: readonly JobWorked[]): Pace {
  const known = jobs.filter(tells)
  const counted = known.reduce((sum, { troubled }) => sum + (troubled?.estimates.length ?? 0), 0)
  const troublesPerJob = (PRIOR_COUNTS * COMMON_TROUBLES + counted) / (PRIOR_COUNTS + known.length)
  return { ...learnPace(known.map(observed)), troublesPerJob }
}

/**
 * What would have been foretold of each job by those before it, beside what it took: what a calibration is made of.
 * @param jobs in the order they were done; the newest are looked back on
 */
export function foretoldBefore(jobs: readonly JobWorked[]): Foretold[] {
  const known = jobs.filter(tells)
  return known
    .map((job, index): Foretold => {
      const steps = job.estimates.map((estimate): TimedStep => ({ estimate, setupMinutes: 0, notBefore: 0, waits: [] }))
      const pace = ownPace(known.slice(0, index))
      // Which ladders the layout had is not kept; a trouble of any kind takes about so long.
      const troubles = [{ perJob: pace.troublesPerJob!, minutes: TROUBLE_MINUTES, sigma: TROUBLE_SIGMA }]
      const { minutes } = finishOdds({ steps, calendar: null }, { pace, troubles, draws: DRAWS, seed: index + 1 })
      return { predicted: [...minutes], actual: job.actualMinutes }
    })
    .slice(-NEWEST)
}

/**
 * A garage's pace against a plan that holds some of its own minutes already: what they moved is not counted twice.
 * @param work minutes as planned, and as the layout had them
 */
export function paceOnTop(pace: Pace, work: readonly { minutes: ThreePoint; from: ThreePoint }[]): Pace {
  const sum = (of: 'minutes' | 'from') => work.reduce((total, entry) => total + pertMean(entry[of]), 0)
  return work.length === 0 ? pace : { ...pace, mean: pace.mean - Math.log(sum('minutes') / sum('from')) }
}
