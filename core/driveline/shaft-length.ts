import { within } from '../base/field-error'

/** A shaft between a tail housing and an axle, the box in its last place. */
export interface ShaftPlace {
  /** From the face of the tail seal to the middle of the axle's joint, in mm. */
  sealToJointMm: number
  /** From the face of the seal to the middle of the yoke's joint with the yoke pushed home, in mm. */
  yokeHomeMm: number
  /** How far the yoke stands off home when it is fitted, in mm. */
  slipMm: number
  /** Spline of the yoke that meets the shaft with it pushed home, and diameter of the shaft, in mm. */
  splineMm?: number
  shaftMm?: number
}

export interface ShaftLength {
  /** Middle of joint to middle of joint, in mm. */
  lengthMm: number
  /** Spline that stays in, in mm, and in diameters; `null` where it was not measured. */
  engagedMm: number | null
  engagedDiameters: number | null
}

/**
 * The length a shaft is made to, from joint to joint: it leaves the yoke its slip both ways, as the axle moves.
 * @throws FieldError on a length that no shaft has
 */
export function shaftLength({ sealToJointMm, yokeHomeMm, slipMm, splineMm, shaftMm }: ShaftPlace): ShaftLength {
  within('sealToJointMm', sealToJointMm, 200, 4000, 'The way from seal to joint in mm')
  within('yokeHomeMm', yokeHomeMm, 5, 400, 'The yoke pushed home in mm')
  within('slipMm', slipMm, 0, 150, 'The slip in mm')
  if (splineMm !== undefined) within('splineMm', splineMm, 0, 1000, 'The length of the splines in mm')
  if (shaftMm !== undefined) within('shaftMm', shaftMm, 5, 200, 'The diameter of the shaft in mm')
  const engagedMm = splineMm === undefined ? null : splineMm - slipMm
  return {
    lengthMm: sealToJointMm - yokeHomeMm - slipMm,
    engagedMm,
    engagedDiameters: engagedMm === null || !shaftMm ? null : engagedMm / shaftMm,
  }
}
