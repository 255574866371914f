import { FieldError, within } from '../base/field-error'
import { boreArea } from './bore-area'

export interface ReservoirGuard {
  /** What stands in the reservoir, and where its low mark is, in ml. */
  reservoirMl: number
  lowMl: number
  masterBoreMm: number
  /** Stroke of the master's piston, in mm. */
  strokeMm: number
  /** Share of a stroke that leaves the line: 1 with the bleeder open, 0 with it shut. */
  deliveredShare: number
}

/** Fluid that one stroke sends out of the line, in ml. */
export function strokeMl({
  masterBoreMm,
  strokeMm,
  deliveredShare,
}: Pick<ReservoirGuard, 'masterBoreMm' | 'strokeMm' | 'deliveredShare'>): number {
  within('masterBoreMm', masterBoreMm, 5, 60, 'The bore of the master in mm')
  within('strokeMm', strokeMm, 1, 100, 'The stroke of the master in mm')
  within('deliveredShare', deliveredShare, 0, 1, 'The share that leaves the line')
  return ((boreArea(masterBoreMm) * strokeMm) / 1000) * deliveredShare
}

/**
 * Whole strokes until the reservoir stands at its low mark; `Infinity` where nothing leaves the line.
 * @throws FieldError on the field at fault
 */
export function strokesToLow({ reservoirMl, lowMl, ...stroke }: ReservoirGuard): number {
  within('reservoirMl', reservoirMl, 0, 5000, 'What stands in the reservoir in ml')
  within('lowMl', lowMl, 0, 5000, 'The low mark in ml')
  if (lowMl > reservoirMl)
    throw new FieldError('reservoirMl', 'The reservoir stands below its low mark already: fill it up first.')
  const each = strokeMl(stroke)
  return each === 0 ? Infinity : Math.floor((reservoirMl - lowMl) / each + 1e-9)
}
