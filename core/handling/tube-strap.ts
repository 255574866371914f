import { FieldError, within } from '../base/field-error'
import { quantity } from '../say/quantity'

/** A tube that hangs from the engine mounts at one end and in a strap at the other. Places in mm behind the mounts. */
export interface HungTube {
  /** Engine and tube together, without the box. */
  massKg: number
  /** Where they balance. */
  balanceMm: number
  /** Where the strap passes under the tube. */
  strapMm: number
  /** Between the two points the strap hangs from, across the car. */
  spanMm: number
  /** From those points down to the underside of the tube, as it stands in its mounts. */
  hangMm: number
  /** By how much the tube is let down at the strap. */
  dropMm: number
  /** Where the brace crosses below the tube, and the gap to it as the tube stands in its mounts. */
  braceMm: number
  braceGapMm: number
}

export interface StrapAndTimber {
  /** What the strap carries. */
  loadKg: number
  /** The pull in each leg of it. */
  legKg: number
  /** From point to point round the tube. */
  lengthMm: number
  /** What is left for the timber between tube and brace. */
  timberMm: number
  /** The drop at which the tube lies on the brace. */
  meetsAtMm: number
  because: string
}

const GRAVITY = 9.81

/**
 * What a strap under a tube carries and how long it is, and how thick the timber that stops the tube from swinging may be:
 * the law of the lever about the engine mounts, two legs of a strap by the parallelogram of forces, and similar triangles.
 * @throws FieldError on the field at fault
 */
export function tubeStrap(tube: HungTube): StrapAndTimber {
  for (const [name, low, high, what] of limits) within(name, tube[name], low, high, what)
  const { massKg, balanceMm, strapMm, spanMm, hangMm, dropMm, braceMm, braceGapMm } = tube
  if (strapMm <= balanceMm)
    throw new FieldError('strapMm', 'The strap passes behind the balance of engine and tube, else their front tips.')
  const loadKg = (massKg * balanceMm) / strapMm
  const fallMm = hangMm + dropMm
  const halfMm = Math.hypot(spanMm / 2, fallMm)
  const legKg = ((loadKg / 2) * halfMm) / fallMm
  const perDrop = braceMm / strapMm
  const timberMm = braceGapMm - dropMm * perDrop
  const meetsAtMm = braceGapMm / perDrop
  return {
    loadKg,
    legKg,
    lengthMm: 2 * halfMm,
    timberMm,
    meetsAtMm,
    because: sentence(tube, loadKg, legKg, 2 * halfMm, timberMm, meetsAtMm),
  }
}

const limits = [
  ['massKg', 20, 900, 'The mass of engine and tube in kg'],
  ['balanceMm', 1, 2500, 'The place of balance in mm'],
  ['strapMm', 200, 4000, 'The place of the strap in mm'],
  ['spanMm', 0, 2500, 'The span of the strap in mm'],
  ['hangMm', 20, 1500, 'The height of its points over the tube in mm'],
  ['dropMm', 0, 400, 'The drop at the strap in mm'],
  ['braceMm', 100, 4000, 'The place of the brace in mm'],
  ['braceGapMm', 0, 500, 'The gap to the brace in mm'],
] as const

function sentence(
  { dropMm }: HungTube,
  loadKg: number,
  legKg: number,
  lengthMm: number,
  timberMm: number,
  meetsAtMm: number,
): string {
  const mm = (value: number) => quantity(value, 'mm', 0)
  const strap = `The strap carries ${quantity(loadKg, 'kg', 0)}, each leg pulls ${quantity(legKg * GRAVITY, 'N', 0)}, and it is ${mm(lengthMm)} long from point to point.`
  return timberMm > 0
    ? `${strap} ${mm(dropMm)} down, ${mm(timberMm)} are left between tube and brace: timber that thick stops it from swinging, and carries nothing.`
    : `${strap} The tube lies on the brace ${mm(meetsAtMm)} down already: not that far.`
}
