import type { DialReading } from './dial-reading'
import { fitHarmonic } from './fit-harmonic'

export interface Runout {
  /** What the dial shows on average, in mm. */
  meanMm: number
  /** How far the tilted plane stands above the mean at its highest, in mm: half of its share of the reading. */
  tiltMm: number
  /** Where the tilted plane is highest, in degrees. */
  tiltAtDeg: number
  /** What is left without the tilt, highest to lowest, in mm. */
  warpMm: number
  /** Total indicator reading: highest to lowest as read, in mm. */
  totalMm: number
  /** Where the reading itself is highest, in degrees. */
  highestAtDeg: number
  /** The warp of each reading, in the order given, in mm. */
  restMm: number[]
}

/**
 * Takes the runout of a face apart: a plane that is tilted as a whole (dirt behind the seat, a flange that is not square)
 * and a face that is not flat. Cleaning the seat cures the first, only machining cures the second.
 * @param readings round one circle of the face, at three different angles at least
 * @throws RangeError on fewer than three different angles, or on what is no number
 */
export function fitRunout(readings: DialReading[]): Runout {
  const { meanMm, amplitudeMm, atDeg, restMm } = fitHarmonic(readings)
  const heights = readings.map(reading => reading.heightMm)
  const highest = Math.max(...heights)
  return {
    meanMm,
    tiltMm: amplitudeMm,
    tiltAtDeg: atDeg,
    warpMm: Math.max(...restMm) - Math.min(...restMm),
    totalMm: highest - Math.min(...heights),
    highestAtDeg: readings[heights.indexOf(highest)]!.angleDeg,
    restMm,
  }
}
