import { FieldError, within } from '../base/field-error'
import { quantity } from '../say/quantity'

/** One half of a tractor that is parted in the middle. Places in mm behind the front axle. */
export interface HalfOfTractor {
  massKg: number
  /** Where it balances. */
  balanceMm: number
  /** Its own axle. */
  axleMm: number
  /** The stand, block or trolley under its open end. */
  supportMm: number
}

export interface SplitTractor {
  front: HalfOfTractor
  rear: HalfOfTractor
  /** Fall of the floor along the tractor, in degrees. */
  slopeDeg?: number
  /** Whether the front axle, which swings about its pin, has its wedges in. */
  wedged?: boolean
}

export interface HalfLoads {
  axleKg: number
  supportKg: number
  /** What the half tips over without more holding it; `null` where it stands. */
  tipsOver: 'axle' | 'support' | null
  /** What drives it down the slope, in N. */
  rollN: number
}

export interface SplitLoads {
  front: HalfLoads
  rear: HalfLoads
  /** Whether the front may lie over sideways: one pin and one support are in one line. */
  liesOver: boolean
  because: string
}

const GRAVITY = 9.81

/**
 * What axles and supports carry once a tractor is parted, by the law of the lever for each half, and what rolls it down the floor (m g sin α).
 * @throws FieldError on the field at fault
 */
export function splitLoads({ front, rear, slopeDeg = 0, wedged = false }: SplitTractor): SplitLoads {
  within('slopeDeg', slopeDeg, -15, 15, 'The slope of the floor in degrees')
  const halves = { front: halfLoads('front', front, slopeDeg), rear: halfLoads('rear', rear, slopeDeg) }
  return { ...halves, liesOver: !wedged, because: sentence(halves, wedged) }
}

function halfLoads(path: string, half: HalfOfTractor, slopeDeg: number): HalfLoads {
  within(`${path}.massKg`, half.massKg, 50, 20_000, 'The mass in kg')
  for (const [name, what] of places) within(`${path}.${name}`, half[name], -3000, 6000, what)
  if (Math.abs(half.supportMm - half.axleMm) < 100)
    throw new FieldError(`${path}.supportMm`, 'The support stands away from the axle.')
  const between = half.supportMm - half.axleMm
  const share = (half.balanceMm - half.axleMm) / between
  const tipsOver = share < 0 ? 'axle' : share > 1 ? 'support' : null
  const supportKg = half.massKg * Math.min(1, Math.max(0, share))
  const axleKg = half.massKg - supportKg
  return { axleKg, supportKg, tipsOver, rollN: half.massKg * GRAVITY * Math.sin((slopeDeg * Math.PI) / 180) }
}

const places = [
  ['balanceMm', 'The place of balance in mm'],
  ['axleMm', 'The place of the axle in mm'],
  ['supportMm', 'The place of the support in mm'],
] as const

function sentence({ front, rear }: { front: HalfLoads; rear: HalfLoads }, wedged: boolean): string {
  const kg = (value: number) => quantity(value, 'kg', 0)
  const tipping = [
    ...(front.tipsOver ? [`the front half tips over its ${front.tipsOver}`] : []),
    ...(rear.tipsOver ? [`the rear half tips over its ${rear.tipsOver}`] : []),
  ]
  const lying = wedged
    ? ''
    : ' The front axle swings about its pin: without wedges between axle and frame the half lies over.'
  if (tipping.length > 0)
    return `As they stand, ${tipping.join(' and ')}. Move the support, or hold that end down.${lying}`
  const push = Math.max(Math.abs(front.rollN), Math.abs(rear.rollN))
  const rolling = push < 1 ? '' : ` The floor pushes a half with ${quantity(push, 'N', 0)}: chock it on the low side.`
  return `In front ${kg(front.supportKg)} hang on the support and ${kg(front.axleKg)} on the axle; behind ${kg(rear.supportKg)} and ${kg(rear.axleKg)}.${lying}${rolling}`
}
