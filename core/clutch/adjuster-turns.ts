import { within } from '../base/field-error'

/** One adjuster of a clutch with levers. In mm. */
export interface AdjusterGap {
  measuredMm: number
  wantedMm: number
  /** What one whole turn of it moves the gap by. */
  pitchMm: number
  /** Sides of its nut. */
  flats?: number
}

export interface AdjusterTurns {
  /** Turns to go; above zero they widen the gap. */
  turns: number
  degrees: number
  /** The same in sides of its nut. */
  flats: number
  direction: 'widen' | 'narrow' | 'none'
}

/** A hundredth of a millimetre is no feeler's business. */
const SAME_MM = 0.005

/**
 * How far an adjuster is turned to bring its gap to what is wanted: (wanted − measured) / pitch, by the definition of a thread's pitch.
 * @throws FieldError on the field at fault
 */
export function adjusterTurns({ measuredMm, wantedMm, pitchMm, flats = 6 }: AdjusterGap): AdjusterTurns {
  within('measuredMm', measuredMm, 0, 50, 'The gap as measured in mm')
  within('wantedMm', wantedMm, 0, 50, 'The gap that is wanted in mm')
  within('pitchMm', pitchMm, 0.2, 6, 'The pitch of the adjuster in mm')
  within('flats', flats, 2, 12, 'The number of sides of the nut')
  const missingMm = wantedMm - measuredMm
  const turns = missingMm / pitchMm
  return {
    turns,
    degrees: turns * 360,
    flats: turns * flats,
    direction: Math.abs(missingMm) < SAME_MM ? 'none' : missingMm > 0 ? 'widen' : 'narrow',
  }
}
