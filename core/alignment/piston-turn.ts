import { within } from '../base/field-error'
import { shortWayDeg } from './dial-reading'

/** An actuator piston seen from its end; degrees are counted clockwise. */
export interface PistonAngles {
  /** Where its magnet points. */
  magnetDeg: number
  /** Where its sensor sits. */
  sensorDeg: number
}

export interface PistonTurn {
  /** How far it is turned, between −180 and 180; above zero clockwise. */
  turnDeg: number
  direction: 'clockwise' | 'counter-clockwise' | 'none'
}

/** Nobody points closer than this. */
const SAME_DEG = 0.05

/**
 * How far and which way a piston that has turned is turned back, so that its magnet faces its sensor: the short way round.
 * @throws FieldError on the field at fault
 */
export function pistonTurn({ magnetDeg, sensorDeg }: PistonAngles): PistonTurn {
  within('magnetDeg', magnetDeg, -360, 360, 'The angle of the magnet in degrees')
  within('sensorDeg', sensorDeg, -360, 360, 'The angle of the sensor in degrees')
  const turnDeg = shortWayDeg(magnetDeg, sensorDeg)
  return {
    turnDeg,
    direction: Math.abs(turnDeg) < SAME_DEG ? 'none' : turnDeg > 0 ? 'clockwise' : 'counter-clockwise',
  }
}
