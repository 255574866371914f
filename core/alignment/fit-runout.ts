import type { DialReading } from './dial-reading'
import { fitHarmonic } from './fit-harmonic'

export interface Runout {
  /** What the dial shows on average, in mm. */
  meanMm: number
  /** How far the tilted plane stands above the mean at its highest, in mm: half of its share of the reading. */
  tiltMm: number
  /** Where the tilted plane is highest, in degrees. */
  tiltAtDeg: number
  /** What is left without the tilt, highest to lowest, in mm, as it was read. */
  warpMm: number
  /** The same less what the dial's own scatter makes of it: what is likely the face's. */
  warpLikelyMm: number
  /** What the face may be warped by beyond that, since its crests may lie between the places that were read, in mm. */
  warpUnseenMm: number
  /** Total indicator reading: highest to lowest as read, in mm. */
  totalMm: number
  /** Where the reading itself is highest, in degrees. */
  highestAtDeg: number
  /** The warp of each reading, in the order given, in mm. */
  restMm: number[]
}

/** What one reading of a dial is off by, as a standard deviation, in mm: a third of a hundredth read by eye. Common practice, no source. */
const DIAL_MM = 0.003
/** With so many places round the circle a face that is bent like a saddle is seen in full. */
const ENOUGH = 12

/** Highest less lowest of n readings that only scatter, in standard deviations, n = 2 on (table of d2, ASTM manual on control charts; from memory). */
const RANGES = [1.128, 1.693, 2.059, 2.326, 2.534, 2.704, 2.847, 2.97, 3.078, 3.173, 3.258]
const rangeOf = (n: number): number => RANGES[Math.min(Math.max(n, 2), RANGES.length + 1) - 2]!

/**
 * What evenly spaced places may miss of a face that is bent twice round it, as a share of what they show: its crests lie up to half a
 * spacing away, 1 / cos(360° / n) − 1.
 */
function unseenShare(places: number): number {
  if (places >= ENOUGH) return 0
  const seen = Math.cos((2 * Math.PI) / places)
  return seen > 0.25 ? 1 / seen - 1 : 3
}

/**
 * Takes the runout of a face apart: a plane that is tilted as a whole (dirt behind the seat, a flange that is not square)
 * and a face that is not flat. Cleaning the seat cures the first, only machining cures the second.
 * @param readings round one circle of the face, at three different angles at least
 * @throws FieldError on fewer than three different angles, or on what is no number
 */
export function fitRunout(readings: DialReading[]): Runout {
  const { meanMm, amplitudeMm, atDeg, restMm } = fitHarmonic(readings)
  const heights = readings.map(reading => reading.heightMm)
  const highest = Math.max(...heights)
  const warpMm = Math.max(...restMm) - Math.min(...restMm)
  const scatter = DIAL_MM * rangeOf(readings.length)
  return {
    meanMm,
    tiltMm: amplitudeMm,
    tiltAtDeg: atDeg,
    warpMm,
    warpLikelyMm: Math.sqrt(Math.max(0, warpMm ** 2 - scatter ** 2)),
    warpUnseenMm: warpMm * unseenShare(readings.length),
    totalMm: highest - Math.min(...heights),
    highestAtDeg: readings[heights.indexOf(highest)]!.angleDeg,
    restMm,
  }
}
