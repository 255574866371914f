import { within } from '../base/field-error'

export interface RoomUnderCar {
  /** Height of the box as it lies on the jack: its bell's diameter where it lies flat, in mm. */
  boxHeightMm: number
  /** The jack at its lowest, with its saddle, in mm. */
  saddleMm: number
  /** Height of the lowest edge the box has to pass, with the car on its wheels, in mm. */
  edgeMm: number
  /** Where that edge and the lifting point are, from the axle that stays down, in mm. Both ends up alike: leave them out. */
  edgeFromAxleMm?: number
  liftFromAxleMm?: number
  /** How much the ground rises from where the box comes down to where it is drawn out, in mm. */
  groundRisesMm?: number
  /** What the stands can be set to, in mm; and the height of the lifting point with the car on its wheels. */
  standRangeMm: [low: number, high: number]
  liftPointMm: number
}

export interface RoomReport {
  /** Height the edge has to stand at, in mm. */
  neededMm: number
  /** How far the lifting point has to go up, in mm. */
  liftMm: number
  /** What the stands have to be set to, in mm. */
  standMm: number
  verdict: 'enough' | 'low-stands' | 'not-needed'
  because: string
}

/** Air left above the box, in mm. Common practice, no source. */
const AIR_MM = 30

/**
 * How high a car has to stand for its box to come out under it.
 * With one end up the car turns about the axle that stays down, so an edge nearer to it rises less than the lifting point.
 * @throws FieldError on the field at fault
 */
export function clearance({
  boxHeightMm,
  saddleMm,
  edgeMm,
  edgeFromAxleMm,
  liftFromAxleMm,
  groundRisesMm = 0,
  standRangeMm,
  liftPointMm,
}: RoomUnderCar): RoomReport {
  within('boxHeightMm', boxHeightMm, 50, 1500, 'The height of the box in mm')
  within('saddleMm', saddleMm, 0, 1000, 'The height of the jack in mm')
  within('edgeMm', edgeMm, 20, 1500, 'The height of the edge in mm')
  within('groundRisesMm', groundRisesMm, -500, 500, 'The rise of the ground in mm')
  within('liftPointMm', liftPointMm, 50, 1500, 'The height of the lifting point in mm')
  within('standRangeMm[0]', standRangeMm[0], 100, 2500, 'The lowest setting in mm')
  within('standRangeMm[1]', standRangeMm[1], standRangeMm[0], 2500, 'The highest setting in mm')
  const oneEnd = edgeFromAxleMm !== undefined && liftFromAxleMm !== undefined
  if (oneEnd) {
    within('edgeFromAxleMm', edgeFromAxleMm, 1, 10_000, 'The distance of the edge in mm')
    within('liftFromAxleMm', liftFromAxleMm, 1, 10_000, 'The distance of the lifting point in mm')
  }
  const neededMm = boxHeightMm + saddleMm + groundRisesMm + AIR_MM
  const rise = Math.max(0, neededMm - edgeMm)
  const liftMm = oneEnd ? (rise * liftFromAxleMm) / edgeFromAxleMm : rise
  const standMm = liftPointMm + liftMm
  if (rise === 0)
    return {
      neededMm,
      liftMm,
      standMm,
      verdict: 'not-needed',
      because: `The edge stands at {${Math.round(edgeMm)} mm} already; {${Math.round(neededMm)} mm} are wanted.`,
    }
  if (standMm > standRangeMm[1]) {
    return {
      neededMm,
      liftMm,
      standMm,
      verdict: 'low-stands',
      because: `The lifting point has to stand at {${Math.round(standMm)} mm} and the stands go to {${Math.round(standRangeMm[1])} mm}. Taller stands, a lower jack, or lay the box on a board and draw it out.`,
    }
  }
  return {
    neededMm,
    liftMm,
    standMm: Math.max(standMm, standRangeMm[0]),
    verdict: 'enough',
    because: `The lifting point goes up by {${Math.round(liftMm)} mm}, stands at {${Math.round(Math.max(standMm, standRangeMm[0]))} mm}.`,
  }
}
