import { within } from '../base/field-error'

/** A shifter carried from the box on the bench to the floor above it. Along the car, positive to the rear; to a side, positive to the right. */
export interface ShifterPlace {
  /** From the face of the bell to the middle of the shifter, along the box, in mm. */
  bellToShifterMm: number
  /** How far it stands to the right of the middle of the input shaft, in mm. */
  asideMm?: number
  /** Adapter and spacer between engine and bell, in mm. */
  betweenMm?: number
  /** From the middle of the input shaft up to the pivot of the shifter, in mm. */
  riseMm?: number
  /** How far engine and box fall to the rear, in degrees. */
  fallDeg?: number
  /** From the rear face of the engine to the mark on the floor, along the car, in mm; how far that lies to the right of the crank. */
  engineToMarkMm: number
  markAsideMm?: number
}

export interface CutCentre {
  /** From the mark to the middle of the opening: to the rear, and to the right, in mm. */
  behindMarkMm: number
  rightOfMarkMm: number
  /** What the fall of the box alone moves it by, in mm. */
  byFallMm: number
}

/**
 * Where the floor is cut for a shifter. The box hangs down to the rear by its fall φ: a point L along it and h above its axis stands
 * L cos φ + h sin φ behind the engine (a turn in the plane).
 * @throws FieldError on the field at fault
 */
export function cutCentre({
  bellToShifterMm,
  asideMm = 0,
  betweenMm = 0,
  riseMm = 0,
  fallDeg = 0,
  engineToMarkMm,
  markAsideMm = 0,
}: ShifterPlace): CutCentre {
  within('bellToShifterMm', bellToShifterMm, 50, 2000, 'The way to the shifter in mm')
  within('betweenMm', betweenMm, 0, 200, 'What stands between in mm')
  within('riseMm', riseMm, -300, 600, 'The height of the pivot in mm')
  within('fallDeg', fallDeg, -20, 20, 'The fall in degrees')
  within('asideMm', asideMm, -1000, 1000, 'How far it stands aside in mm')
  within('engineToMarkMm', engineToMarkMm, -3000, 3000, 'The way to the mark in mm')
  within('markAsideMm', markAsideMm, -1000, 1000, 'How far the mark lies aside in mm')
  const turn = (fallDeg * Math.PI) / 180
  const along = bellToShifterMm + betweenMm
  const behindEngineMm = along * Math.cos(turn) + riseMm * Math.sin(turn)
  return {
    behindMarkMm: behindEngineMm - engineToMarkMm,
    rightOfMarkMm: asideMm - markAsideMm,
    byFallMm: behindEngineMm - along,
  }
}
