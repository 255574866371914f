import { FieldError } from '../base/field-error'
import type { ThreePoint } from '../pack/kinds'
import { pertMean } from './three-point'

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

/**
 * An estimate learned from times seen, drawn toward the pack's until enough is known: with n times x̄ on average in logarithms and the
 * pack's mean m counted k times, the learned mean is exp((k ln m + n x̄) / (k + n)), the mean of the posterior of a normal with known
 * spread. The three points keep their shape and are scaled together.
 * @param prior low, likely and high of the pack, in minutes
 * @throws FieldError on an estimate that does not rise, or a time of none
 */
export function learnMinutes(prior: ThreePoint, observations: MinutesObserved[]): LearnedMinutes {
  if (!(prior[0] > 0 && prior[0] <= prior[1] && prior[1] <= prior[2]))
    throw new FieldError('prior', 'Low, likely and high minutes in rising order.')
  observations.forEach(({ minutes }, index) => {
    if (!(minutes > 0)) throw new FieldError(`observations[${index}].minutes`, 'A time is above zero.')
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
  const logMean = kept.reduce((sum, minutes) => sum + Math.log(minutes), 0) / Math.max(1, kept.length)
  const weight = kept.length / (PRIOR_WEIGHT + kept.length)
  const factor =
    kept.length === 0 ? 1 : Math.exp((1 - weight) * Math.log(pertMean(prior)) + weight * logMean) / pertMean(prior)
  return { minutes: prior.map(value => value * factor) as ThreePoint, factor, weight, used: kept.length, setAside }
}

function median(values: number[]): number {
  const sorted = [...values].sort((a, b) => a - b)
  const half = sorted.length / 2
  return sorted.length % 2 === 1 ? sorted[Math.floor(half)]! : (sorted[half - 1]! + sorted[half]!) / 2
}
