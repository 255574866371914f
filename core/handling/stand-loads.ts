import { FieldError, within } from '../base/field-error'
import { supportLoads } from './support-loads'
import type { PlacedMass, Support, SupportLoads } from './support-loads'

/** A stand with what it is rated for. */
export interface Stand extends Support {
  ratingKg: number
}

export interface CarOnStands {
  carKg: number
  /** Share of the mass on the front axle with the car whole, 0 to 1. */
  frontShare: number
  wheelbaseMm: number
  trackMm: number
  /** Stands, x from the front axle rearward, y from the middle to the right. */
  stands: Stand[]
  /** Wheels that stay on the ground: which axles. */
  wheelsDown: ('front' | 'rear')[]
  /** What comes out, x from the front axle rearward, y from the middle. */
  removed: PlacedMass[]
}

export interface StandReport {
  /** What each stand carries before and after, in kg. */
  stands: { id: string; beforeKg: number; afterKg: number; ratingKg: number; share: number }[]
  /** Axle loads with the car on its wheels, before and after, in kg. */
  axles: { before: [front: number, rear: number]; after: [front: number, rear: number] }
  /** How far the balance point moves rearward as the parts leave, in mm. */
  shiftMm: number
  /** How far inside its supports the balance point lies, before and after, in mm. */
  insideMm: [before: number, after: number]
  verdict: 'safe' | 'near' | 'no'
  because: string
}

/** A stand is not loaded beyond this share of its rating. Common practice, no source: half is left for a knock. */
const FULL = 0.5
/** The balance point stays at least this far inside, in mm. Common practice, no source. */
const NEAR_EDGE_MM = 200

/**
 * What stands carry before and after a heavy part is out, and how far the car is from tipping.
 * The car's own points, the stands' rating plates and local rules go before this.
 * @throws FieldError on the field at fault
 */
export function standLoads({
  carKg,
  frontShare,
  wheelbaseMm,
  trackMm,
  stands,
  wheelsDown,
  removed,
}: CarOnStands): StandReport {
  within('carKg', carKg, 200, 20_000, 'The mass of the car in kg')
  within('frontShare', frontShare, 0.1, 0.9, 'The share on the front axle')
  within('wheelbaseMm', wheelbaseMm, 1000, 8000, 'The wheelbase in mm')
  within('trackMm', trackMm, 800, 3000, 'The track in mm')
  if (stands.length === 0) throw new FieldError('stands', 'At least one stand is wanted.')
  for (const [index, stand] of stands.entries())
    within(`stands[${index}].ratingKg`, stand.ratingKg, 100, 50_000, 'The rating in kg')
  for (const [index, part] of removed.entries())
    within(`removed[${index}].massKg`, part.massKg, 0.1, carKg, 'The mass in kg')

  const whole: PlacedMass = { id: 'car', massKg: carKg, xMm: wheelbaseMm * (1 - frontShare), yMm: 0 }
  const without: PlacedMass[] = [whole, ...removed.map(part => ({ ...part, massKg: -part.massKg }))]
  const wheels = wheelsDown.flatMap(axle =>
    [-1, 1].map((side): Support => ({
      id: `${axle}-${side < 0 ? 'left' : 'right'}`,
      xMm: axle === 'front' ? 0 : wheelbaseMm,
      yMm: (side * trackMm) / 2,
    })),
  )
  const supports: Support[] = [...stands, ...wheels]
  const before = supportLoads([whole], supports)
  const after = supportLoads([merged(without)], supports)
  const ground = (masses: PlacedMass[]): [number, number] => {
    const { massKg, xMm } = merged(masses)
    return [massKg * (1 - xMm / wheelbaseMm), (massKg * xMm) / wheelbaseMm]
  }
  const lines = stands.map((stand, index) => ({
    id: stand.id,
    beforeKg: before.loadsKg[index]!,
    afterKg: after.loadsKg[index]!,
    ratingKg: stand.ratingKg,
    share: Math.max(before.loadsKg[index]!, after.loadsKg[index]!) / stand.ratingKg,
  }))
  return {
    stands: lines,
    axles: { before: ground([whole]), after: ground(without) },
    shiftMm: after.balance.xMm - before.balance.xMm,
    insideMm: [before.insideMm, after.insideMm],
    ...judge(lines, before, after),
  }
}

function merged(masses: PlacedMass[]): PlacedMass {
  const massKg = masses.reduce((sum, mass) => sum + mass.massKg, 0)
  const middle = (of: (mass: PlacedMass) => number) =>
    masses.reduce((sum, mass) => sum + mass.massKg * of(mass), 0) / massKg
  return { id: 'rest', massKg, xMm: middle(mass => mass.xMm), yMm: middle(mass => mass.yMm) }
}

function judge(
  stands: StandReport['stands'],
  before: SupportLoads,
  after: SupportLoads,
): Pick<StandReport, 'verdict' | 'because'> {
  const over = stands.find(stand => stand.share > FULL)
  const inside = Math.min(before.insideMm, after.insideMm)
  const lifted = [...new Set([...before.lifted, ...after.lifted])]
  if (before.inLine)
    return { verdict: 'no', because: 'Everything it stands on is in one line: it tips to either side of it.' }
  if (before.tips || after.tips)
    return {
      verdict: 'no',
      because: `The car tips${after.tips && !before.tips ? ' once the part is out' : ''}: its balance point leaves the supports.`,
    }
  if (over && over.share > 1)
    return {
      verdict: 'no',
      because: `Stand ${over.id} would carry {${Math.round(over.share * over.ratingKg)} kg}, more than it is rated for.`,
    }
  if (lifted.length > 0)
    return { verdict: 'near', because: `${lifted.join(', ')} would carry nothing: the car can rock there.` }
  if (inside < NEAR_EDGE_MM)
    return {
      verdict: 'near',
      because: `The balance point comes within {${Math.round(inside)} mm} of the edge of its supports. Hold the light end down or move the stands.`,
    }
  if (over)
    return {
      verdict: 'near',
      because: `Stand ${over.id} carries ${Math.round(over.share * 100)} in 100 of its rating; half is left for a knock.`,
    }
  return {
    verdict: 'safe',
    because: `Every stand carries at most ${Math.round(Math.max(...stands.map(stand => stand.share)) * 100)} in 100 of its rating, and the balance point stays {${Math.round(inside)} mm} inside.`,
  }
}
