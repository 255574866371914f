import { FieldError, within } from '../base/field-error'

export type FrictionModel = 'uniform-wear' | 'uniform-pressure'

export interface FrictionClutch {
  model: FrictionModel
  frictionCoefficient: number
  /** Clamp load, in N. */
  clampN: number
  /** Rubbing faces: two a disc. */
  faces: number
  /** Diameters of the lining, in mm. */
  outerMm: number
  innerMm: number
}

/**
 * The torque a disc clutch carries before it slips, in N·m.
 *
 * Uniform wear, a clutch that has run in: μ F n (ro + ri) / 2. Uniform pressure, a new one: ⅔ μ F n (ro³ − ri³) / (ro² − ri²).
 * Source: any machine design handbook, chapter on disc clutches.
 * @throws FieldError on the field at fault
 */
export function frictionTorque({
  model,
  frictionCoefficient,
  clampN,
  faces,
  outerMm,
  innerMm,
}: FrictionClutch): number {
  within('frictionCoefficient', frictionCoefficient, 0.01, 1.5, 'The friction coefficient')
  within('clampN', clampN, 0, 200_000, 'The clamp load in N')
  within('faces', faces, 1, 20, 'The number of faces')
  within('outerMm', outerMm, 1, 2000, 'The outer diameter in mm')
  within('innerMm', innerMm, 0, 2000, 'The inner diameter in mm')
  if (innerMm > outerMm) throw new FieldError('innerMm', 'The inner diameter is below the outer one.')
  return (frictionCoefficient * clampN * faces * frictionRadiusMm(model, outerMm, innerMm)) / 1000
}

/** The radius at which the whole friction may be thought to act, in mm. */
export function frictionRadiusMm(model: FrictionModel, outerMm: number, innerMm: number): number {
  within('outerMm', outerMm, 1, 2000, 'The outer diameter in mm')
  within('innerMm', innerMm, 0, outerMm, 'The inner diameter in mm')
  const [outer, inner] = [outerMm / 2, innerMm / 2]
  // (ro³ − ri³)/(ro² − ri²), with the common factor taken out so that it holds for a narrow ring.
  return model === 'uniform-wear'
    ? (outer + inner) / 2
    : ((2 / 3) * (outer ** 2 + outer * inner + inner ** 2)) / (outer + inner)
}
