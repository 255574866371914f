import { within } from '../base/field-error'

/** What the slave said of the disc, and what the disc is. In mm of disc. */
export interface TravelAgainstDisc {
  predictedMm: number
  /** How far off the prediction may be. */
  spreadMm: number
  measuredMm: number
  /** How far the slave goes from closed to open, and how far it should, in mm. */
  strokeMm?: number
  strokeWantedMm?: number
}

export const travelCauseIds = ['sound', 'bearing', 'faces', 'sensor', 'air'] as const
export type TravelCause = (typeof travelCauseIds)[number]

/**
 * How often each is the one; by how much, and how widely, it sets the prediction off; how likely the stroke is short with it.
 * A bearing that has collapsed or a worn pivot lets the slave sit further out: the disc looks thicker than it is. Worn or machined
 * faces make it look thinner. Air takes stroke and no rest. Trade practice, from memory.
 */
const causes: Record<TravelCause, { prior: number; offMm: number; widthMm: number; shortStroke: number }> = {
  sound: { prior: 0.62, offMm: 0, widthMm: 0, shortStroke: 0.04 },
  bearing: { prior: 0.12, offMm: 0.5, widthMm: 0.35, shortStroke: 0.1 },
  faces: { prior: 0.08, offMm: -0.4, widthMm: 0.3, shortStroke: 0.05 },
  sensor: { prior: 0.1, offMm: 0, widthMm: 1, shortStroke: 0.2 },
  air: { prior: 0.08, offMm: 0, widthMm: 0, shortStroke: 0.9 },
}
/** Feelers and calipers, in mm; and what is still called a whole stroke. */
const CALIPER_MM = 0.05
const WHOLE_STROKE = 0.9

/**
 * What explains a disc that is not what its travel said, the likeliest first; the shares add up to 1 (Bayes, the two signs taken
 * as independent once the cause is known).
 * @throws FieldError on the field at fault
 */
export function travelCauses({
  predictedMm,
  spreadMm,
  measuredMm,
  strokeMm,
  strokeWantedMm,
}: TravelAgainstDisc): { cause: TravelCause; share: number }[] {
  within('predictedMm', predictedMm, -10, 40, 'The thickness as predicted in mm')
  within('measuredMm', measuredMm, 0, 40, 'The thickness as measured in mm')
  within('spreadMm', spreadMm, 0, 10, 'What the prediction may be off by in mm')
  if (strokeMm !== undefined) within('strokeMm', strokeMm, 0, 100, 'The stroke in mm')
  if (strokeWantedMm !== undefined) within('strokeWantedMm', strokeWantedMm, 1, 100, 'The stroke that is wanted in mm')
  const offMm = predictedMm - measuredMm
  const isShort =
    strokeMm === undefined || strokeWantedMm === undefined ? null : strokeMm < WHOLE_STROKE * strokeWantedMm
  const weighed = travelCauseIds.map(cause => {
    const { prior, offMm: usual, widthMm, shortStroke } = causes[cause]
    const width = Math.hypot(widthMm, spreadMm / 2, CALIPER_MM)
    const stroke = isShort === null ? 1 : isShort ? shortStroke : 1 - shortStroke
    return { cause, share: (prior * stroke * Math.exp(-(((offMm - usual) / width) ** 2) / 2)) / width }
  })
  const total = weighed.reduce((sum, { share }) => sum + share, 0)
  return weighed.map(({ cause, share }) => ({ cause, share: share / total })).sort((a, b) => b.share - a.share)
}
