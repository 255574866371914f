import { FieldError, within } from '../base/field-error'

/** A round-wire compression spring. */
export interface Spring {
  wireMm: number
  /** Middle of the wire to middle of the wire across. */
  coilDiameterMm: number
  /** Turns that give; squared ends do not. */
  activeCoils: number
  /** Of spring steel where it is left out. */
  shearModulusMpa?: number
}

/** Of carbon spring wire, in MPa: any handbook of machine elements. */
const SHEAR_MODULUS_MPA = 79_300

/**
 * How stiff a helical compression spring is, in N/mm: k = G d⁴ / (8 D³ n) (Shigley, Mechanical Engineering Design, helical springs).
 * @throws FieldError on the field at fault
 */
export function springRate({
  wireMm,
  coilDiameterMm,
  activeCoils,
  shearModulusMpa = SHEAR_MODULUS_MPA,
}: Spring): number {
  within('wireMm', wireMm, 0.05, 50, 'The wire in mm')
  within('coilDiameterMm', coilDiameterMm, 0.2, 500, 'The coil in mm')
  within('activeCoils', activeCoils, 0.5, 200, 'The number of turns')
  within('shearModulusMpa', shearModulusMpa, 1000, 200_000, 'The shear modulus in MPa')
  if (coilDiameterMm <= wireMm) throw new FieldError('coilDiameterMm', 'A coil is larger than its wire.')
  return (shearModulusMpa * wireMm ** 4) / (8 * coilDiameterMm ** 3 * activeCoils)
}
