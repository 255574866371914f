import { FieldError } from '../base/field-error'
import type { Pace } from '../pack/pace'

export type { Pace } from '../pack/pace'

/** A job, or what is done of one: how long it took beside what was planned for it. */
export interface PaceObserved {
  actualMinutes: number
  plannedMinutes: number
}

/** Before anything was seen, the middle counts as so many jobs, and the spread as so many. Common practice, no source. */
export const PRIOR_JOBS = 4
export const PRIOR_SPREAD_JOBS = 2
/** More than this is no job. */
const MOST_MINUTES = 1_000_000
/** The spread from car to car and from person to person before anything was seen: 0.2 and 0.12 together. Common practice, no source. */
export const PRIOR_SIGMA = Math.hypot(0.2, 0.12)

/**
 * Pace learned from jobs: the posterior of a normal curve with unknown middle and spread (normal, inverse gamma), which starts from the
 * plan being right. The next job is foretold by Student's t with {@link degreesOf} it.
 * Source: Gelman et al., Bayesian Data Analysis, conjugate normal model; from memory.
 * @throws FieldError on minutes that are none
 */
export function learnPace(observations: PaceObserved[]): Pace {
  const ratios = observations.map(({ actualMinutes, plannedMinutes }, index) => {
    for (const [name, minutes] of Object.entries({ actualMinutes, plannedMinutes }))
      if (!(minutes > 0 && minutes <= MOST_MINUTES))
        throw new FieldError(`observations[${index}].${name}`, 'Minutes are a number above zero, and of one job.')
    return Math.log(actualMinutes / plannedMinutes)
  })
  const n = ratios.length
  const seen = ratios.reduce((sum, ratio) => sum + ratio, 0) / Math.max(1, n)
  const around = ratios.reduce((sum, ratio) => sum + (ratio - seen) ** 2, 0)
  const weight = n / (PRIOR_JOBS + n)
  const square =
    (PRIOR_SPREAD_JOBS * PRIOR_SIGMA ** 2 + around + PRIOR_JOBS * weight * seen ** 2) / (PRIOR_SPREAD_JOBS + n)
  return { mean: weight * seen, sigma: Math.sqrt(square), weight, n }
}

/** Degrees of freedom of the curve by which the next job is foretold. */
export const degreesOf = ({ n }: Pace): number => PRIOR_SPREAD_JOBS + n

/** Spread of that curve: what differs from job to job, and what is not known of the middle yet. */
export const foretoldSigma = ({ sigma, n }: Pace): number => sigma * Math.sqrt(1 + 1 / (PRIOR_JOBS + n))
