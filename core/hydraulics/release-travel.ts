import { within } from '../base/field-error'

/** From the pedal to the plate, hydraulic. */
export interface ReleaseLinkage {
  /** Travel of the pad, in mm. */
  pedalTravelMm: number
  /** Travel of the pad to one of the master's rod. */
  pedalRatio: number
  masterBoreMm: number
  slaveBoreMm: number
  /** Travel of the slave to one of the bearing; 1 for a slave round the input shaft. */
  forkRatio: number
  /** Travel of the bearing to one of the plate: the fingers as a lever. */
  fingerRatio: number
  /** Rubbing faces: two to a disc. */
  faces: number
  /** Travel of the pad that moves nothing: free play, air, swelling of the hose, in mm. */
  lostMm?: number
}

export interface ReleaseTravel {
  slaveMm: number
  bearingMm: number
  liftPerFaceMm: number
}

/**
 * How far slave, bearing and plate go for a travel of the pedal. Slave travel is master travel × (Dm / Ds)², since the fluid
 * keeps its volume; levers divide by their ratio (any handbook of mechanics).
 * @throws FieldError on the field at fault
 */
export function releaseTravel({
  pedalTravelMm,
  pedalRatio,
  masterBoreMm,
  slaveBoreMm,
  forkRatio,
  fingerRatio,
  faces,
  lostMm = 0,
}: ReleaseLinkage): ReleaseTravel {
  within('pedalTravelMm', pedalTravelMm, 0, 400, 'The travel of the pedal in mm')
  within('pedalRatio', pedalRatio, 1, 15, 'The ratio of the pedal')
  within('masterBoreMm', masterBoreMm, 5, 60, 'The bore of the master in mm')
  within('slaveBoreMm', slaveBoreMm, 5, 120, 'The bore of the slave in mm')
  within('forkRatio', forkRatio, 0.5, 10, 'The ratio of the fork')
  within('fingerRatio', fingerRatio, 1, 10, 'The ratio of the fingers')
  within('faces', faces, 2, 20, 'The number of faces')
  within('lostMm', lostMm, 0, 400, 'The lost travel in mm')
  const masterMm = Math.max(0, pedalTravelMm - lostMm) / pedalRatio
  const slaveMm = masterMm * (masterBoreMm / slaveBoreMm) ** 2
  const bearingMm = slaveMm / forkRatio
  return { slaveMm, bearingMm, liftPerFaceMm: bearingMm / fingerRatio / faces }
}
