import { within } from '../base/field-error'
import { shortWayDeg, turnDeg } from './dial-reading'

export interface SplineClock {
  /** How far the input shaft is turned so that its teeth meet the disc's, the shorter way; positive as seen by who looks at the bell, clockwise. */
  turnDeg: number
  /** The same in teeth: never more than half a tooth. */
  teeth: number
  meets: boolean
}

/** Closer than this share of a tooth the chamfers find each other. Common practice, no source. */
const FINDS = 0.15

/**
 * How far the input shaft has to be turned for its splines to meet those of the disc.
 *
 * Both angles are read clockwise from the same bell hole, the disc's as seen from the box end, the shaft's as seen from
 * the engine end of the bell. Who looks into the bell sees the circle mirrored, so the disc's angle is mirrored first.
 * @throws FieldError on an angle or a number of splines that is none
 */
export function splineClock({
  splines,
  discDeg,
  shaftDeg,
}: {
  splines: number
  discDeg: number
  shaftDeg: number
}): SplineClock {
  within('splines', splines, 3, 80, 'The number of splines')
  within('discDeg', discDeg, -360, 360, 'The angle in degrees')
  within('shaftDeg', shaftDeg, -360, 360, 'The angle in degrees')
  const pitch = 360 / splines
  const apart = shortWayDeg(0, turnDeg(360 - discDeg) - shaftDeg)
  const turn = apart - Math.round(apart / pitch) * pitch
  return { turnDeg: turn, teeth: turn / pitch, meets: Math.abs(turn / pitch) <= FINDS }
}
