import { FieldError, within } from '../base/field-error'
import { solveLinear } from '../base/solve-linear'
import { turnDeg } from './dial-reading'
import type { DialReading } from './dial-reading'

export interface Harmonic {
  meanMm: number
  /** Height at the crest above the mean: half of what a dial shows of it, in mm. */
  amplitudeMm: number
  /** Where the crest is, from 0 to 360 degrees. */
  atDeg: number
  /** What is left of each reading, in the order given, in mm. */
  restMm: number[]
}

/** Closer than this two angles count as one. */
const SAME_DEG = 0.5

/**
 * Mean and first harmonic of readings round a circle by least squares: h(θ) = mean + a cos θ + b sin θ.
 * At evenly spaced angles a and b are the first coefficients of the discrete Fourier transform times 2/n.
 * @throws FieldError on fewer than three different angles, or on what is no number
 */
export function fitHarmonic(readings: DialReading[]): Harmonic {
  readings.forEach(({ angleDeg, heightMm }, index) => {
    within(`readings[${index}].angleDeg`, angleDeg, -36_000, 36_000, 'The angle in degrees')
    within(`readings[${index}].heightMm`, heightMm, -1000, 1000, 'The height in mm')
  })
  const angles = readings.map(reading => turnDeg(reading.angleDeg)).sort((a, b) => a - b)
  const different = angles.filter((angle, index) => angle - (angles[index - 1] ?? -Infinity) > SAME_DEG)
  if (different.length > 1 && different[0]! + 360 - different.at(-1)! <= SAME_DEG) different.pop()
  if (different.length < 3)
    throw new FieldError('readings', 'A circle wants readings at three different angles at least.')

  const rows = readings.map(({ angleDeg }) => [1, Math.cos(radians(angleDeg)), Math.sin(radians(angleDeg))])
  const normal = [0, 1, 2].map(i => [0, 1, 2].map(j => rows.reduce((sum, row) => sum + row[i]! * row[j]!, 0)))
  const load = [0, 1, 2].map(i => rows.reduce((sum, row, index) => sum + row[i]! * readings[index]!.heightMm, 0))
  const [meanMm, a, b] = solveLinear(normal, load) as [number, number, number]
  return {
    meanMm,
    amplitudeMm: Math.hypot(a, b),
    atDeg: turnDeg((Math.atan2(b, a) * 180) / Math.PI),
    restMm: readings.map(({ heightMm }, index) => heightMm - meanMm - a * rows[index]![1]! - b * rows[index]![2]!),
  }
}

function radians(degrees: number): number {
  return (degrees * Math.PI) / 180
}
