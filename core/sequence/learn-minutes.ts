import { FieldError } from '../base/field-error'
import type { ThreePoint } from '../pack/kinds'
import { checkEstimate, pertMean, pertVariance } from './three-point'

/** How long a piece of work took, once. */
export interface MinutesObserved {
  minutes: number
  /** Something went wrong on it: it says nothing of how long the work takes. */
  troubled?: boolean
}

export interface LearnedMinutes {
  minutes: ThreePoint
  /** The mean of the learned estimate against that of the pack. */
  factor: number
  /** How much the garage's own times weigh, from 0 to 1. */
  weight: number
  used: number
  setAside: { minutes: number; because: string }[]
}

/** The pack's estimate counts as so many times seen. From memory. */
export const PRIOR_WEIGHT = 4
/** Longer or shorter by this factor than the middle of all is a slip of the timer. */
const SLIP = 4

/** A garage may scatter so many times less or more than a layout says. Common practice, no source. */
const SPREADS = [0.5, 2] as const
/** The low end stays above this part of what it was. */
const LEAST_LOW = 0.25

/**
 * An estimate learned from times seen, drawn toward the pack's until enough is known. Times are taken as lognormal: the pack's estimate has
 * a middle μ0 = ln m − s²/2 and a spread s² = ln(1 + variance / m²), counted k times; n times with x̄ on average in logarithms make the middle
 * (k μ0 + n x̄) / (k + n), and their scatter the spread likewise. The three points are moved and widened so that their mean is the learned one.
 * Source: conjugate normal model, Gelman et al., Bayesian Data Analysis; from memory.
 * @param prior low, likely and high of the pack, in minutes
 * @throws FieldError on an estimate that does not rise, or a time of none
 */
export function learnMinutes(prior: ThreePoint, observations: MinutesObserved[]): LearnedMinutes {
  checkEstimate(prior, 'prior')
  if (!(prior[0] > 0 && prior[0] <= prior[1] && prior[1] <= prior[2]))
    throw new FieldError('prior', 'Low, likely and high minutes in rising order.')
  observations.forEach(({ minutes }, index) => {
    if (!(minutes > 0 && minutes < 1e6))
      throw new FieldError(`observations[${index}].minutes`, 'A time is above zero, and no year.')
  })
  const setAside: LearnedMinutes['setAside'] = observations
    .filter(entry => entry.troubled)
    .map(({ minutes }) => ({ minutes, because: 'A trouble was written down on it.' }))
  const clean = observations.filter(entry => !entry.troubled).map(entry => entry.minutes)
  const middle = median([...clean, pertMean(prior)])
  const kept = clean.filter(minutes => minutes <= middle * SLIP && minutes >= middle / SLIP)
  setAside.push(
    ...clean
      .filter(minutes => !kept.includes(minutes))
      .map(minutes => ({
        minutes,
        because: minutes > middle ? 'The timer ran on by itself, it seems.' : 'Too short to have been the whole of it.',
      })),
  )
  const n = kept.length
  const weight = n / (PRIOR_WEIGHT + n)
  if (n === 0) return { minutes: prior, factor: 1, weight, used: 0, setAside }
  const mean = pertMean(prior)
  const square = Math.log(1 + pertVariance(prior) / mean ** 2)
  const middle0 = Math.log(mean) - square / 2
  const logs = kept.map(Math.log)
  const seen = logs.reduce((sum, value) => sum + value, 0) / n
  const around = logs.reduce((sum, value) => sum + (value - seen) ** 2, 0)
  const learnedSquare = (PRIOR_WEIGHT * square + around) / (PRIOR_WEIGHT + n - 1)
  const factor = Math.exp(weight * (seen - middle0) + (learnedSquare - square) / 2)
  const wider = square > 0 ? Math.sqrt(learnedSquare / square) : 1
  return { minutes: about(prior, factor, wider), factor, weight, used: n, setAside }
}

/** Three points with their mean moved by a factor, and their spread about it besides. */
function about(prior: ThreePoint, factor: number, wider: number): ThreePoint {
  const mean = pertMean(prior)
  const [least, most] = SPREADS
  const widest = prior[0] < mean ? (mean - LEAST_LOW * prior[0]) / (mean - prior[0]) : most
  const spread = Math.min(Math.max(wider, least), most, widest)
  return prior.map(value => (mean + (value - mean) * spread) * factor) as ThreePoint
}

function median(values: number[]): number {
  const sorted = [...values].sort((a, b) => a - b)
  const half = sorted.length / 2
  return sorted.length % 2 === 1 ? sorted[Math.floor(half)]! : (sorted[half - 1]! + sorted[half]!) / 2
}
