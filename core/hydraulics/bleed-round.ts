import { FieldError } from '../base/field-error'
import type { BleedPhysics } from '../pack/bleeding'
import { shippedWays } from './shipped-ways'

/** A slow full stroke, down and up, in seconds. Common practice, no source. */
export const STROKE_SECONDS = 4

/** How a round of a way goes. */
export interface RoundPhysics {
  strokes: number
  /** Fluid let out at the bleeder with each stroke, as a share of what the stroke moves. */
  deliveredShare: number
  /** Fluid drawn, pushed or dripping through without strokes: ml a second, above zero from reservoir to slave, and for how long. */
  flowMlS: number
  flowSeconds: number
  restMinutes: number
  /** Share of the air held in the slave that a stroke, or ten seconds of flow, frees. */
  frees: number
}

/** The ways that take air out of a line, and so can be simulated. */
export const freesAir = <W extends BleedPhysics>(way: W): way is W & { frees: number } => way.frees !== undefined

/**
 * A round of a way, from what it counts: strokes, portions at the pace of the flow, or minutes with the bleeder open.
 * @param way one of the ways that ship by its id, or any
 * @throws FieldError on `method` where there is no such way, or it takes no air out
 */
export function bleedRound(way: string | BleedPhysics): RoundPhysics {
  const found = typeof way === 'string' ? shippedWays.find(entry => entry.id === way) : way
  if (!found || !freesAir(found))
    throw new FieldError('method', `There is nothing to count with “${typeof way === 'string' ? way : way.title}”.`)
  const { counts, perRound, portionMl, restMinutes, strokeShare: deliveredShare, flowMlS = 0, frees } = found
  if (counts === 'strokes') return { strokes: perRound, deliveredShare, flowMlS: 0, flowSeconds: 0, restMinutes, frees }
  if (counts === 'minutes')
    return { strokes: 0, deliveredShare: 0, flowMlS, flowSeconds: restMinutes * 60, restMinutes: 0, frees }
  return {
    strokes: 0,
    deliveredShare: 0,
    flowMlS: Math.sign(portionMl) * flowMlS,
    flowSeconds: (perRound * Math.abs(portionMl)) / flowMlS,
    restMinutes,
    frees,
  }
}
