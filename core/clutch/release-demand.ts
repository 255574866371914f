import { within } from '../base/field-error'

export interface ReleaseDemand {
  /** Force at the bearing to hold the clutch open, in N. */
  bearingN: number
  /** Way of the bearing from first touch to full release, in mm. */
  bearingMm: number
  /** Work of one press at the bearing, in J: what the foot has to give through whatever ratio. */
  workJ: number
}

/**
 * What a cover asks of the hydraulics: a lever of the first kind, the fingers are drawn in by their ratio for what the plate lifts.
 * @param cover clamp load in N, finger ratio, lift per face in mm and number of faces; `peakShare` how far the release load
 *   rises above clamp load over ratio before it falls, 1 for not at all
 * @throws FieldError on the field at fault
 */
export function releaseDemand({
  clampN,
  fingerRatio,
  liftPerFaceMm,
  faces,
  peakShare = 1,
}: {
  clampN: number
  fingerRatio: number
  liftPerFaceMm: number
  faces: number
  peakShare?: number
}): ReleaseDemand {
  within('clampN', clampN, 1, 200_000, 'The clamp load in N')
  within('fingerRatio', fingerRatio, 1, 10, 'The finger ratio')
  within('liftPerFaceMm', liftPerFaceMm, 0.05, 5, 'The lift per face in mm')
  within('faces', faces, 1, 20, 'The number of faces')
  within('peakShare', peakShare, 0.5, 2, 'The peak')
  const bearingN = (clampN / fingerRatio) * peakShare
  const bearingMm = liftPerFaceMm * faces * fingerRatio
  return { bearingN, bearingMm, workJ: (bearingN * bearingMm) / 1000 }
}
