import { within } from '../base/field-error'
import { quantity } from '../say/quantity'

/** The travel of a pedal that opens two clutches one after the other, in mm at its pad, counted from its stop. */
export interface TwoStageTravel {
  /** Where the first resistance is felt. */
  freePlayMm: number
  /** Where the drive is free. */
  driveFreesMm: number
  /** Where the power take-off is free as well. */
  takeOffFreesMm: number
  /** Its lower stop. */
  endMm: number
  /** Where the brake of the gearbox touches; left out where there is none. */
  brakeTouchesMm?: number
  /** Free play that is wanted, as low and high. */
  freePlayWindowMm?: readonly [low: number, high: number]
  /** How far beyond the last clutch it has to go at least. */
  overTravelMm?: number
}

export type TwoStageFault =
  'no-free-play' | 'much-free-play' | 'stages-swapped' | 'stages-close' | 'no-over-travel' | 'brake-early'

export interface TwoStageReport {
  /** Between the two stages, and from the second to the stop. */
  betweenMm: number
  overTravelMm: number
  faults: TwoStageFault[]
  because: string
}

/** Closer than this a foot does not find the first stage by itself. Common practice, no source. */
const LEAST_BETWEEN_MM = 15
const USUAL_PLAY_MM = [20, 40] as const
const USUAL_OVER_TRAVEL_MM = 8

/**
 * Whether a pedal frees the drive first, the power take-off after it, has some travel left, and brakes the gearbox at its end only.
 * @throws FieldError on the field at fault
 */
export function twoStagePedal(travel: TwoStageTravel): TwoStageReport {
  const { freePlayMm, driveFreesMm, takeOffFreesMm, endMm, brakeTouchesMm } = travel
  for (const [name, what] of measured) within(name, travel[name], 0, 400, what)
  if (brakeTouchesMm !== undefined) within('brakeTouchesMm', brakeTouchesMm, 0, 400, 'Where the brake touches in mm')
  const [low, high] = travel.freePlayWindowMm ?? USUAL_PLAY_MM
  const wantedOver = travel.overTravelMm ?? USUAL_OVER_TRAVEL_MM
  within('freePlayWindowMm[0]', low, 0, 400, 'The least free play in mm')
  within('freePlayWindowMm[1]', high, low, 400, 'The most free play in mm')
  within('overTravelMm', wantedOver, 0, 400, 'The travel to be left in mm')
  const betweenMm = takeOffFreesMm - driveFreesMm
  const overTravelMm = endMm - takeOffFreesMm
  const faults: TwoStageFault[] = [
    ...(freePlayMm < low ? (['no-free-play'] as const) : []),
    ...(freePlayMm > high ? (['much-free-play'] as const) : []),
    ...(betweenMm <= 0
      ? (['stages-swapped'] as const)
      : betweenMm < LEAST_BETWEEN_MM
        ? (['stages-close'] as const)
        : []),
    ...(overTravelMm < wantedOver ? (['no-over-travel'] as const) : []),
    ...(brakeTouchesMm !== undefined && brakeTouchesMm < takeOffFreesMm ? (['brake-early'] as const) : []),
  ]
  const because =
    faults.length === 0
      ? `The drive is free at ${mm(driveFreesMm)}, the power take-off ${mm(betweenMm)} later, and ${mm(overTravelMm)} are left to the stop${brakeTouchesMm === undefined ? '' : '; the brake touches after both'}.`
      : faults.map(fault => words[fault]({ ...travel, betweenMm, overAtMm: overTravelMm })).join(' ')
  return { betweenMm, overTravelMm, faults, because }
}

const measured = [
  ['freePlayMm', 'The free play in mm'],
  ['driveFreesMm', 'Where the drive is free in mm'],
  ['takeOffFreesMm', 'Where the power take-off is free in mm'],
  ['endMm', 'The lower stop in mm'],
] as const

const mm = (value: number) => quantity(value, 'mm', 0)
type Told = TwoStageTravel & { betweenMm: number; overAtMm: number }
const words: Record<TwoStageFault, (told: Told) => string> = {
  'no-free-play': ({ freePlayMm }) =>
    `Only ${mm(freePlayMm)} of free play: the bearing runs on the levers all day, and the drive slips as it wears.`,
  'much-free-play': ({ freePlayMm }) =>
    `${mm(freePlayMm)} of free play are too much: what is lost at the top is missing at the bottom.`,
  'stages-swapped': () =>
    'The power take-off is free before the drive: its adjusters are the wrong way round, or the discs are.',
  'stages-close': ({ betweenMm }) =>
    `Only ${mm(betweenMm)} between the two: a foot does not find the first stage by itself.`,
  'no-over-travel': ({ overAtMm }) =>
    overAtMm < 0
      ? 'The pedal meets its stop before the power take-off is free.'
      : `Only ${mm(overAtMm)} beyond the last clutch: warm, it drags.`,
  'brake-early': () => 'The brake of the gearbox touches before both are free: it drags, wears, and heats the box.',
}
