import { FieldError, within } from '../base/field-error'
import { boreArea } from './bore-area'

/** A clutch line from the slave's bleeder up to the reservoir. */
export interface BleedLine {
  boreMm: number
  /** From the slave upward: how long each piece is, and how steeply it rises to the reservoir; below zero it falls. */
  pieces: { lengthMm: number; slopeDeg: number }[]
  masterBoreMm: number
  /** Stroke of the master's piston, in mm. */
  strokeMm: number
  pedalRatio: number
  /** Air in the line at the start, at atmospheric pressure, and the share of it that sits in the slave until strokes free it. */
  airMl: number
  heldShare: number
  reservoirMl: number
  lowMl: number
  /** What the reservoir holds to its brim, in ml; a quarter more than stands in it where it is left out. */
  brimMl?: number
  /** Pressure that releases the clutch, in bar. */
  pressureBar: number
  /** Travel of the pad that may be lost for reverse to go in. */
  lostMostMm: number
}

export const lineLength = (line: BleedLine): number => line.pieces.reduce((sum, piece) => sum + piece.lengthMm, 0)

/** What the line holds, in ml. */
export const lineVolume = (line: BleedLine): number => (lineLength(line) * boreArea(line.boreMm)) / 1000

/** What the reservoir holds, in ml, where nobody said so. */
const BRIM_SHARE = 1.25
export const brimOf = ({ brimMl, reservoirMl }: BleedLine): number => brimMl ?? reservoirMl * BRIM_SHARE

/** @throws FieldError on the first field at fault */
export function checkLine(line: BleedLine): void {
  within('boreMm', line.boreMm, 1, 20, 'The bore of the line in mm')
  if (line.pieces.length === 0) throw new FieldError('pieces', 'A line has one piece at least.')
  for (const [index, piece] of line.pieces.entries()) {
    within(`pieces[${index}].lengthMm`, piece.lengthMm, 1, 20_000, 'The length in mm')
    within(`pieces[${index}].slopeDeg`, piece.slopeDeg, -90, 90, 'The slope in degrees')
  }
  within('masterBoreMm', line.masterBoreMm, 5, 60, 'The bore of the master in mm')
  within('strokeMm', line.strokeMm, 1, 100, 'The stroke of the master in mm')
  within('pedalRatio', line.pedalRatio, 1, 15, 'The ratio of the pedal')
  within('airMl', line.airMl, 0, lineVolume(line), 'The air in ml')
  within('heldShare', line.heldShare, 0, 1, 'The share held in the slave')
  within('reservoirMl', line.reservoirMl, 0, 5000, 'What stands in the reservoir in ml')
  within('lowMl', line.lowMl, 0, line.reservoirMl, 'The low mark in ml')
  if (line.brimMl !== undefined) within('brimMl', line.brimMl, line.reservoirMl, 10_000, 'The brim in ml')
  within('pressureBar', line.pressureBar, 0.5, 100, 'The pressure in bar')
  within('lostMostMm', line.lostMostMm, 0.5, 200, 'The travel that may be lost in mm')
}
