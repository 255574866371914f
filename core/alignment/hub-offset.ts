import { within } from '../base/field-error'

export interface HubOffset {
  /** How far the two hubs may stand beside each other, in mm. */
  offsetMm: number
  /** What the splines allow before the shaft catches, in mm. */
  allowedMm: number
  goesOn: boolean
}

/**
 * Whether two hubs stand in one line: a straight tool through both has the play of the looser one at either end.
 * @param hubs bores of both hubs and the tool between them, in mm; `splinePlayMm` is the play of the shaft in a hub
 * @throws FieldError on a length that cannot be
 */
export function hubOffset({
  frontPlayMm,
  rearPlayMm,
  splinePlayMm,
}: {
  frontPlayMm: number
  rearPlayMm: number
  splinePlayMm: number
}): HubOffset {
  within('frontPlayMm', frontPlayMm, 0, 5, 'The play of the tool in the front hub in mm')
  within('rearPlayMm', rearPlayMm, 0, 5, 'The play of the tool in the rear hub in mm')
  within('splinePlayMm', splinePlayMm, 0, 5, 'The play of the shaft in a hub in mm')
  const offsetMm = (frontPlayMm + rearPlayMm) / 2
  return { offsetMm, allowedMm: splinePlayMm, goesOn: offsetMm <= splinePlayMm }
}
