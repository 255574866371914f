import { FieldError, within } from '../base/field-error'
import { fitHarmonic } from './fit-harmonic'

export interface FaceGap {
  meanMm: number
  /** How far the box hangs askew to the engine, in degrees. */
  tiltDeg: number
  /** Where the gap is widest, in degrees. */
  widestAtDeg: number
  /** Widest gap by the fitted plane, in mm. */
  widestMm: number
  /** Whether the faces meet all round. */
  closed: boolean
}

/** A feeler no thicker than this passes between faces that have met, in mm. Common practice, no source. */
const MET_MM = 0.1

/**
 * How a box stands to the engine from the gap round the bell: a plane through the readings, by least squares.
 * @param readings gap at three places or more round the face, in mm
 * @param diameterMm across the places where it was measured
 * @throws FieldError on a gap below zero, a diameter that is none, or fewer than three places
 */
export function faceGap(readings: { angleDeg: number; gapMm: number }[], diameterMm: number): FaceGap {
  within('diameterMm', diameterMm, 50, 1500, 'The diameter in mm')
  for (const [index, { gapMm }] of readings.entries())
    within(`readings[${index}].gapMm`, gapMm, 0, 400, 'The gap in mm')
  let plane
  try {
    plane = fitHarmonic(readings.map(({ angleDeg, gapMm }) => ({ angleDeg, heightMm: gapMm })))
  } catch (error) {
    if (error instanceof FieldError && error.path === 'readings')
      throw new FieldError('readings', 'The gap is measured at three different places at least.')
    throw error
  }
  return {
    meanMm: plane.meanMm,
    tiltDeg: (Math.atan(plane.amplitudeMm / (diameterMm / 2)) * 180) / Math.PI,
    widestAtDeg: plane.atDeg,
    widestMm: plane.meanMm + plane.amplitudeMm,
    closed: readings.every(reading => reading.gapMm <= MET_MM),
  }
}
