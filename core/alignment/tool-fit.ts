import { within } from '../base/field-error'

export interface ToolFit {
  /** How far the disc can sit to any side of the middle, in mm. */
  radialPlayMm: number
  /** Whole turns of tape that take up the play and still let the tool be drawn out. */
  wraps: number
}

/**
 * How loosely a centring tool sits in what the shaft will sit in, and how much tape trues it.
 * One turn of tape adds its thickness to the radius. A turn too many makes the tool drag, so turns are rounded down.
 * @param fit outside diameters of tool and shaft at the same place, and the thickness of one layer of tape, in mm
 * @throws FieldError on a diameter or a tape that is none, or a tool thicker than the shaft
 */
export function toolFit({ toolMm, shaftMm, tapeMm }: { toolMm: number; shaftMm: number; tapeMm: number }): ToolFit {
  within('toolMm', toolMm, 1, 100, 'The diameter of the tool in mm')
  within('shaftMm', shaftMm, 1, 100, 'The diameter of the shaft in mm')
  within('tapeMm', tapeMm, 0.005, 2, 'The thickness of the tape in mm')
  const radialPlayMm = (shaftMm - toolMm) / 2
  return { radialPlayMm, wraps: Math.max(0, Math.floor(radialPlayMm / tapeMm + 1e-9)) }
}
