import { within } from '../base/field-error'
import { quantity } from '../say/quantity'

/** What the controller of a clutch without a pedal has of its slave. In mm. */
export interface TaughtTravel {
  /** Where the slave stands now with the clutch closed. */
  travelMm: number
  /** Where it was taught to stand with this disc new. */
  taughtNewMm: number
  /** Way of the fingers for one of the plate. */
  fingerRatio: number
  /** Way of the slave for one of the bearing; 1 where it sits round the shaft. */
  forkRatio: number
  /** Whether the travel it reports grows as the disc wears; by the layout. */
  grows: boolean
  /** How far off what the controller reports may be. */
  uncertaintyMm?: number
  /** Thickness of the disc as it was new. */
  newDiscMm?: number
}

export interface WearFromTravel {
  /** Thickness the disc has lost, both faces together; below zero it would have grown. */
  liningLostMm: number
  /** What is left of the disc, where its thickness when new is known. */
  discMm?: number
  /** How far off either may be. */
  spreadMm: number
  because: string
}

/** A sensor and two rests of the fingers. Common practice, no source. */
const UNCERTAIN_MM = 0.5

/**
 * What a disc has lost, told by the slave before the box is out. A thinner disc lets plate and fingers settle:
 * Δslave = Δlining × finger ratio × fork ratio, the relation of two levers in line.
 * @throws FieldError on the field at fault
 */
export function wearFromTravel({
  travelMm,
  taughtNewMm,
  fingerRatio,
  forkRatio,
  grows,
  uncertaintyMm = UNCERTAIN_MM,
  newDiscMm,
}: TaughtTravel): WearFromTravel {
  within('travelMm', travelMm, 0, 100, 'The travel now in mm')
  within('taughtNewMm', taughtNewMm, 0, 100, 'The travel taught when new in mm')
  within('fingerRatio', fingerRatio, 1, 12, 'The ratio of the fingers')
  within('forkRatio', forkRatio, 0.5, 6, 'The ratio of the fork')
  within('uncertaintyMm', uncertaintyMm, 0, 20, 'What the controller may be off by in mm')
  if (newDiscMm !== undefined) within('newDiscMm', newDiscMm, 2, 30, 'The thickness of the new disc in mm')
  const ratio = fingerRatio * forkRatio
  const movedMm = grows ? travelMm - taughtNewMm : taughtNewMm - travelMm
  const liningLostMm = movedMm / ratio
  const spreadMm = uncertaintyMm / ratio
  const mm = (value: number) => quantity(value, 'mm', 2)
  const counted = `The slave moved ${mm(Math.abs(movedMm))}; through fingers and fork that is ${mm(Math.abs(liningLostMm))} at the disc, ${mm(spreadMm)} either way`
  return {
    liningLostMm,
    ...(newDiscMm === undefined ? {} : { discMm: newDiscMm - liningLostMm }),
    spreadMm,
    because:
      liningLostMm < -spreadMm
        ? `${counted}, and it moved the way of a disc that grew thicker: another disc was taught, or it counts the other way.`
        : newDiscMm === undefined
          ? `${counted} that it has lost.`
          : `${counted} that it has lost: of ${mm(newDiscMm)} about ${mm(newDiscMm - liningLostMm)} are left.`,
  }
}
