import { FieldError, within } from '../base/field-error'

export interface FaceSpread {
  meanMm: number
  /** Highest less lowest, in mm. */
  spreadMm: number
  /** Which reading is highest and which lowest, counted from 0. */
  highest: number
  lowest: number
}

/**
 * How even a ring of depths or heights is: seal depths, finger heights, a bearing's face.
 * @param readingsMm two readings at least, in mm
 * @throws FieldError on fewer than two readings or on what is no number
 */
export function faceSpread(readingsMm: number[]): FaceSpread {
  if (readingsMm.length < 2) throw new FieldError('readingsMm', 'A spread wants two readings at least.')
  readingsMm.forEach((reading, index) => within(`readingsMm[${index}]`, reading, -10_000, 10_000, 'The reading in mm'))
  const highest = Math.max(...readingsMm)
  const lowest = Math.min(...readingsMm)
  return {
    meanMm: readingsMm.reduce((sum, reading) => sum + reading, 0) / readingsMm.length,
    spreadMm: highest - lowest,
    highest: readingsMm.indexOf(highest),
    lowest: readingsMm.indexOf(lowest),
  }
}
