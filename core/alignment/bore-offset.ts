import type { DialReading } from './dial-reading'
import { fitHarmonic } from './fit-harmonic'

export interface BoreOffset {
  /** How far the middle of the bore lies beside the middle of the crank, in mm. */
  offsetMm: number
  /** Where the dial reads highest, in degrees: there the wall stands nearest, and that way the bore has to go to come to the middle. */
  atDeg: number
  /** Total indicator reading, highest to lowest, in mm. */
  totalMm: number
  /** What no move can cure: the bore is not round, or a reading is off, highest to lowest in mm. */
  outOfRoundMm: number
}

/**
 * How far a bore lies off the crank, from a dial that is carried round in it on the crank.
 * The dial counts up when its plunger is pushed in. The offset is half of the total indicator reading of a round bore.
 * @throws RangeError on fewer than three different angles, or on what is no number
 */
export function boreOffset(readings: DialReading[]): BoreOffset {
  const { amplitudeMm, atDeg, restMm } = fitHarmonic(readings)
  const heights = readings.map(reading => reading.heightMm)
  return {
    offsetMm: amplitudeMm,
    atDeg,
    totalMm: Math.max(...heights) - Math.min(...heights),
    outOfRoundMm: Math.max(...restMm) - Math.min(...restMm),
  }
}
