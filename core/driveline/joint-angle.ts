import { within } from '../base/field-error'

/** The direction of a shaft: how far it falls to the rear (pitch) and turns to the right (yaw), in degrees. */
export interface ShaftDirection {
  pitchDeg: number
  yawDeg: number
}

const rad = Math.PI / 180

/** Its unit vector: x rearward, y to the right, z down. */
export function shaftVector({ pitchDeg, yawDeg }: ShaftDirection): [x: number, y: number, z: number] {
  within('pitchDeg', pitchDeg, -89, 89, 'The pitch in degrees')
  within('yawDeg', yawDeg, -89, 89, 'The yaw in degrees')
  const [pitch, yaw] = [pitchDeg * rad, yawDeg * rad]
  return [Math.cos(pitch) * Math.cos(yaw), Math.cos(pitch) * Math.sin(yaw), Math.sin(pitch)]
}

/**
 * The angle a joint works at between two shafts, in degrees: from their directions in space, so that side and plan both count.
 * Taken from the cross product as well as the scalar one, since the cosine alone says little of small angles.
 */
export function jointAngle(a: ShaftDirection, b: ShaftDirection): number {
  const [one, other] = [shaftVector(a), shaftVector(b)]
  const cross = [
    one[1] * other[2] - one[2] * other[1],
    one[2] * other[0] - one[0] * other[2],
    one[0] * other[1] - one[1] * other[0],
  ]
  return Math.atan2(Math.hypot(...cross), one[0] * other[0] + one[1] * other[1] + one[2] * other[2]) / rad
}
