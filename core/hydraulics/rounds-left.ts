import { FieldError, within } from '../base/field-error'

export interface AirByRound {
  /** Air left after each round, the oldest first, in ml. */
  airMl: number[]
  /** Air with which it still releases, in ml. */
  allowedMl: number
}

export interface RoundsLeft {
  /** Share of the air that a round leaves, by least squares of its logarithm. */
  keeps: number
  /** More rounds at that pace, and as few and many as the best and the worst round so far would make it; `null` where it does not fall. */
  rounds: number | null
  fewest: number | null
  most: number | null
}

/** Below this a round takes nothing worth counting, in ml. */
const NOTHING_ML = 1e-3

/**
 * How many more rounds it takes at the pace of those before. A round takes a share of what is left, so air falls geometrically:
 * a line through the logarithms by least squares gives the share.
 * @throws FieldError on an amount below zero, or fewer than two of them
 */
export function roundsLeft({ airMl, allowedMl }: AirByRound): RoundsLeft {
  if (airMl.length < 2) throw new FieldError('airMl', 'Two rounds are wanted, to see how fast it falls.')
  airMl.forEach((ml, index) => within(`airMl[${index}]`, ml, 0, 500, 'The air in ml'))
  within('allowedMl', allowedMl, NOTHING_ML, 500, 'The air that may stay in ml')
  const logs = airMl.map(ml => Math.log(Math.max(NOTHING_ML, ml)))
  const middle = (logs.length - 1) / 2
  const mean = logs.reduce((sum, value) => sum + value, 0) / logs.length
  const spread = logs.reduce((sum, _, index) => sum + (index - middle) ** 2, 0)
  const keeps = Math.exp(logs.reduce((sum, value, index) => sum + (index - middle) * (value - mean), 0) / spread)
  const steps = logs.slice(1).map((value, index) => Math.exp(value - logs[index]!))
  const last = airMl.at(-1)!
  const need = (share: number) =>
    last <= allowedMl ? 0 : share >= 1 ? null : Math.ceil(Math.log(allowedMl / last) / Math.log(share) - 1e-9)
  return { keeps, rounds: need(keeps), fewest: need(Math.min(...steps)), most: need(Math.max(...steps)) }
}
