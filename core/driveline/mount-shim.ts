import { within } from '../base/field-error'

/**
 * Thickness of shim under the rear mount that turns the box by an angle, in mm: positive lifts the tail.
 * @param turnDeg how much less the box should fall to the rear, in degrees
 * @param mountBehindMm from the engine mounts' axis back to the rear mount, in mm
 */
export function mountShim(turnDeg: number, mountBehindMm: number): number {
  within('turnDeg', turnDeg, -10, 10, 'The turn in degrees')
  within('mountBehindMm', mountBehindMm, 100, 4000, 'The distance to the mount in mm')
  return mountBehindMm * Math.tan((turnDeg * Math.PI) / 180)
}
