import { FieldError, within } from '../base/field-error'
import { fitHarmonic } from './fit-harmonic'

export interface RimCentring {
  /** How far the disc sits off the middle, in mm. */
  offsetMm: number
  /** Which way it has to be moved, clockwise from the top, in degrees: toward the widest gap. */
  moveTowardDeg: number
  meanGapMm: number
  /** What a round disc in the middle of a round rim would leave of each gap, at most, in mm: how far the gaps can be trusted. */
  restMm: number
}

/**
 * How far a disc sits off the middle, from the gaps between its rim and what it runs in: a round disc moved by e leaves a gap of mean + e cos(θ − φ),
 * by least squares. For a clutch whose shaft has no pilot.
 * @param gapsMm evenly spaced, clockwise from the top; four or more
 * @throws FieldError on fewer than four gaps, or one that is none
 */
export function rimGaps(gapsMm: number[]): RimCentring {
  if (gapsMm.length < 4) throw new FieldError('gapsMm', 'The gap is measured at four places at least, evenly round.')
  for (const [index, gap] of gapsMm.entries()) within(`gapsMm[${index}]`, gap, 0, 60, 'The gap in mm')
  const circle = fitHarmonic(gapsMm.map((heightMm, index) => ({ angleDeg: (index * 360) / gapsMm.length, heightMm })))
  return {
    offsetMm: circle.amplitudeMm,
    moveTowardDeg: circle.atDeg,
    meanGapMm: circle.meanMm,
    restMm: Math.max(...circle.restMm.map(Math.abs)),
  }
}
