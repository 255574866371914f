import { within } from '../base/field-error'

const rad = Math.PI / 180

/**
 * Speed of the driven shaft over that of the driving one at a cross joint: cos β / (1 − sin² β cos² θ).
 * It swings twice a turn between cos β and 1 / cos β. Source: the kinematics of the cross joint in any handbook of mechanisms.
 * @param jointAngleDeg angle between the shafts, in degrees
 * @param shaftAngleDeg turn of the driving shaft, in degrees, from where its yoke lies in the plane of both shafts
 */
export function speedRipple(jointAngleDeg: number, shaftAngleDeg: number): number {
  within('jointAngleDeg', jointAngleDeg, -60, 60, 'The joint angle in degrees')
  within('shaftAngleDeg', shaftAngleDeg, -360_000, 360_000, 'The turn of the shaft in degrees')
  const sine = Math.sin(jointAngleDeg * rad) * Math.cos(shaftAngleDeg * rad)
  return Math.cos(jointAngleDeg * rad) / (1 - sine ** 2)
}
