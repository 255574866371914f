import { within } from '../base/field-error'

/** One reading of a dial gauge on its way round a circle. Angles run the way the crank is turned, from a mark of the mechanic's own. */
export interface DialReading {
  angleDeg: number
  heightMm: number
}

/** Beyond a thousand turns it is no angle that anybody read. */
const MOST_DEG = 360_000

/** An angle brought between 0 and 360, in degrees. @throws FieldError on what is no angle */
export function turnDeg(angleDeg: number): number {
  const turned = within('angleDeg', angleDeg, -MOST_DEG, MOST_DEG, 'The angle in degrees') % 360
  return turned < 0 ? turned + 360 : turned
}

/** The difference from one angle to another by the shorter way, between -180 and 180 degrees. */
export function shortWayDeg(fromDeg: number, toDeg: number): number {
  const turned = turnDeg(toDeg - fromDeg)
  return turned > 180 ? turned - 360 : turned
}

/** An angle on a clock face read from the mark: 0° is 12 o'clock, 90° is 3 o'clock. */
export function clockOf(angleDeg: number): string {
  const halves = Math.round(turnDeg(angleDeg) / 15) % 24
  const hour = Math.floor(halves / 2) || 12
  return halves % 2 === 0 ? `${hour} o'clock` : `half past ${hour}`
}
