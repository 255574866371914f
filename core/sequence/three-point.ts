import { FieldError, within } from '../base/field-error'
import type { ThreePoint } from '../pack/kinds'

/**
 * Mean of a three-point estimate, in the unit of the estimate: (low + 4 likely + high) / 6.
 * Source: PERT, Malcolm, Roseboom, Clark and Fazar 1959; from memory.
 */
export function pertMean(estimate: ThreePoint): number {
  const [low, likely, high] = checkEstimate(estimate)
  return (low + 4 * likely + high) / 6
}

/** Variance of a three-point estimate by the rule of PERT: ((high − low) / 6)². */
export function pertVariance(estimate: ThreePoint): number {
  const [low, , high] = checkEstimate(estimate)
  return ((high - low) / 6) ** 2
}

const parts = ['low', 'likely', 'high'] as const

/** An estimate that can be reckoned with. @throws FieldError on what is no number of minutes */
export function checkEstimate(estimate: ThreePoint, path = 'estimate'): ThreePoint {
  if (estimate.length !== 3) throw new FieldError(path, 'Low, likely and high are wanted.')
  parts.forEach((part, index) => within(`${path}[${index}]`, estimate[index]!, 0, 1e6, `What it takes at ${part}`))
  return estimate
}

/** Points at which the curve of a shape is known. */
const GRID = 256
const curves = new Map<string, Float64Array>()

/**
 * The value below which a share of outcomes of a three-point estimate falls, with the beta curve that has the mean of PERT.
 * @param share from 0 to 1
 */
export function quantileOf(estimate: ThreePoint, share: number): number {
  const [low, , high] = checkEstimate(estimate)
  within('share', share, 0, 1, 'The share')
  if (high <= low) return low
  return low + (high - low) * at(curveOf(estimate), share)
}

/** A function that draws a value for a random number from 0 to 1; quicker than `quantileOf` when many are drawn. */
export function drawer(estimate: ThreePoint): (random: number) => number {
  const [low, , high] = estimate
  if (high <= low) return () => low
  const curve = curveOf(estimate)
  return random => low + (high - low) * at(curve, random)
}

function at(curve: Float64Array, share: number): number {
  const place = Math.min(Math.max(share, 0), 1) * GRID
  const below = Math.min(Math.floor(place), GRID - 1)
  return curve[below]! + (curve[below + 1]! - curve[below]!) * (place - below)
}

/** Quantiles of the standard beta curve with α = 1 + 4 (likely − low) / (high − low) and β = 6 − α, at GRID + 1 even shares. */
function curveOf([low, likely, high]: ThreePoint): Float64Array {
  const peak = (likely - low) / (high - low)
  const key = peak.toFixed(4)
  const known = curves.get(key)
  if (known) return known
  const a = 4 * peak
  const b = 4 - a
  const steps = 2048
  const below = new Float64Array(steps + 1)
  const density = (x: number) => x ** a * (1 - x) ** b
  for (let step = 0; step < steps; step++) {
    const [from, to] = [step / steps, (step + 1) / steps]
    // Simpson's rule.
    below[step + 1] = below[step]! + (density(from) + 4 * density((from + to) / 2) + density(to)) / 6
  }
  const curve = new Float64Array(GRID + 1)
  for (let index = 1, step = 0; index < GRID; index++) {
    const wanted = (below[steps]! * index) / GRID
    while (below[step + 1]! < wanted) step++
    curve[index] = (step + (wanted - below[step]!) / (below[step + 1]! - below[step]!)) / steps
  }
  curve[GRID] = 1
  curves.set(key, curve)
  return curve
}
