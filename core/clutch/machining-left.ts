import { within } from '../base/field-error'

export interface MachiningLeft {
  /** What may still come off the face, in mm. */
  leftMm: number
  /** What has to come off to make it flat and clean, in mm. */
  neededMm: number
  enough: boolean
  because: string
}

/** Taken off beyond the warp to reach clean iron, in mm. Common practice, no source. */
const CLEAN_CUT_MM = 0.1

/**
 * Whether a single-mass flywheel can still be machined: what it may lose against what flatness and burnt spots ask.
 * Where there is a step between face and cover rim, as much comes off the rim, so that the step stays.
 * @param wheel thickness and least thickness by its sheet, the warp to be taken out, how deep the heat went, in mm
 * @throws FieldError on a length that cannot be
 */
export function machiningLeft({
  thicknessMm,
  minimumMm,
  warpMm,
  heatMm = 0,
}: {
  thicknessMm: number
  minimumMm: number
  warpMm: number
  heatMm?: number
}): MachiningLeft {
  within('thicknessMm', thicknessMm, 3, 150, 'The thickness in mm')
  within('minimumMm', minimumMm, 2, 150, 'The least thickness in mm')
  within('warpMm', warpMm, 0, 10, 'The warp in mm')
  within('heatMm', heatMm, 0, 10, 'The depth of the heat spots in mm')
  const leftMm = thicknessMm - minimumMm
  const neededMm = Math.max(warpMm, heatMm) + CLEAN_CUT_MM
  const enough = neededMm <= leftMm
  return {
    leftMm,
    neededMm,
    enough,
    because:
      leftMm <= 0
        ? 'It is at its least thickness: nothing may come off any more.'
        : `{${neededMm.toFixed(2)} mm} have to come off and {${leftMm.toFixed(2)} mm} may${enough ? '' : ', so it cannot be machined'}.`,
  }
}
