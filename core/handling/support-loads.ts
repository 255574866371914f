import { FieldError, within } from '../base/field-error'
import { solveLinear } from '../base/solve-linear'

/** A mass at a place, in mm from any point that all places are measured from: x rearward, y to the right. */
export interface PlacedMass {
  id: string
  massKg: number
  xMm: number
  yMm: number
}

/** Something that carries: a stand, a wheel that stays down, a hook, a jack. */
export interface Support {
  id: string
  xMm: number
  yMm: number
  /** What it carries before anything changes, in kg; a prop that only touches carries nothing. 0 where nothing is said. */
  preKg?: number
}

export interface SupportLoads {
  totalKg: number
  /** The point over which everything would balance. */
  balance: { xMm: number; yMm: number }
  /** What each support carries, in kg, in the order given. One that would be pulled carries nothing. */
  loadsKg: number[]
  /** Supports that lift off: nothing holds the car down on them. */
  lifted: string[]
  /** How far inside the area of the supports the balance point lies, in mm; at 0 it tips. Supports in one line have no inside. */
  insideMm: number
  tips: boolean
  /** All supports stand in one line: nothing holds the body to either side of it. */
  inLine: boolean
}

/** Closer than this to the edge is called tipping: measures are no better, in mm. */
const EDGE_MM = 1

/**
 * What each support of a rigid body carries. With three it follows from balance alone; with more, the supports are taken as
 * equally stiff, so that what is added to their loads from before lies on a plane. A support that would have to pull is left out
 * and the rest solved again.
 * @throws FieldError on a mass that is none, or fewer than two supports
 */
export function supportLoads(masses: PlacedMass[], supports: Support[]): SupportLoads {
  if (supports.length < 2) throw new FieldError('supports', 'At least two supports are wanted.')
  for (const [index, mass] of masses.entries())
    within(`masses[${index}].massKg`, mass.massKg, 0, 60_000, 'The mass in kg')
  for (const [index, place] of [...masses, ...supports].entries()) {
    within(`places[${index}].xMm`, place.xMm, -30_000, 30_000, 'The place in mm')
    within(`places[${index}].yMm`, place.yMm, -30_000, 30_000, 'The place in mm')
  }
  for (const [index, { preKg = 0 }] of supports.entries())
    within(`supports[${index}].preKg`, preKg, 0, 60_000, 'What it carries in kg')
  const totalKg = masses.reduce((sum, mass) => sum + mass.massKg, 0)
  if (totalKg <= 0) throw new FieldError('masses', 'Something has to be carried.')
  const balance = {
    xMm: masses.reduce((sum, mass) => sum + mass.massKg * mass.xMm, 0) / totalKg,
    yMm: masses.reduce((sum, mass) => sum + mass.massKg * mass.yMm, 0) / totalKg,
  }
  const insideMm = insideBy(balance, supports)
  let carrying = supports
  let loads = solve(totalKg, balance, carrying)
  for (let worst = lowest(loads); worst !== null && carrying.length > 2; worst = lowest(loads)) {
    carrying = carrying.filter((_, index) => index !== worst)
    loads = solve(totalKg, balance, carrying)
  }
  const carried = new Map(carrying.map((support, index) => [support.id, loads[index]!]))
  return {
    totalKg,
    balance,
    loadsKg: supports.map(support => Math.max(0, carried.get(support.id) ?? 0)),
    lifted: supports.filter(support => !carried.has(support.id)).map(support => support.id),
    insideMm,
    tips: insideMm < EDGE_MM,
    inLine: collinear(supports),
  }
}

/** Index of the support that pulls hardest, or `null` where none does. */
function lowest(loads: number[]): number | null {
  const least = Math.min(...loads)
  return least < -1e-6 ? loads.indexOf(least) : null
}

/** Loads from before + a + b x + c y that carry the mass and its moments; with supports in one line, balance across the line is not asked. */
function solve(totalKg: number, balance: { xMm: number; yMm: number }, supports: Support[]): number[] {
  const spread = (of: (support: Support) => number) => Math.max(...supports.map(of)) - Math.min(...supports.map(of))
  const terms: ((support: Support) => number)[] = [() => 1]
  const wanted = [totalKg]
  const inLine = collinear(supports)
  if (spread(support => support.xMm) > 1e-6) {
    terms.push(support => support.xMm / 1000)
    wanted.push((totalKg * balance.xMm) / 1000)
  }
  if (spread(support => support.yMm) > 1e-6 && !(inLine && terms.length === 2)) {
    terms.push(support => support.yMm / 1000)
    wanted.push((totalKg * balance.yMm) / 1000)
  }
  const normal = terms.map(row =>
    terms.map(column => supports.reduce((sum, support) => sum + row(support) * column(support), 0)),
  )
  const factors = solveLinear(
    normal,
    terms.map(
      (row, index) => wanted[index]! - supports.reduce((sum, support) => sum + row(support) * before(support), 0),
    ),
  )
  return supports.map(support =>
    terms.reduce((sum, term, index) => sum + factors[index]! * term(support), before(support)),
  )
}

const before = (support: Support) => support.preKg ?? 0

function collinear(points: Support[]): boolean {
  const [first, second] = [
    points[0]!,
    points.find(point => Math.hypot(point.xMm - points[0]!.xMm, point.yMm - points[0]!.yMm) > 1e-6),
  ]
  return !second || points.every(point => Math.abs(cross(first, second, point)) < 1e-3)
}

const cross = (a: Support, b: Support, c: { xMm: number; yMm: number }) =>
  (b.xMm - a.xMm) * (c.yMm - a.yMm) - (b.yMm - a.yMm) * (c.xMm - a.xMm)

/** Distance of a point inside the outline of the supports; negative outside it. */
function insideBy(point: { xMm: number; yMm: number }, supports: Support[]): number {
  const hull = outline(supports)
  if (hull.length < 3) return 0 - awayFromLine(point, supports)
  return Math.min(
    ...hull.map((corner, index) => {
      const next = hull[(index + 1) % hull.length]!
      return cross(corner, next, point) / Math.hypot(next.xMm - corner.xMm, next.yMm - corner.yMm)
    }),
  )
}

/** Distance of a point from supports that stand in one line, from the nearer end where it lies beyond them. */
function awayFromLine({ xMm, yMm }: { xMm: number; yMm: number }, supports: Support[]): number {
  const [first, ...others] = [...supports].sort((a, b) => a.xMm - b.xMm || a.yMm - b.yMm) as [Support, ...Support[]]
  const last = others.at(-1) ?? first
  const [dx, dy] = [last.xMm - first.xMm, last.yMm - first.yMm]
  const along = ((xMm - first.xMm) * dx + (yMm - first.yMm) * dy) / (dx ** 2 + dy ** 2 || 1)
  const share = Math.min(1, Math.max(0, along))
  return Math.hypot(xMm - first.xMm - share * dx, yMm - first.yMm - share * dy)
}

/** Convex outline, counter-clockwise (monotone chain). */
function outline(points: Support[]): Support[] {
  if (collinear(points)) return []
  const sorted = [...points].sort((a, b) => a.xMm - b.xMm || a.yMm - b.yMm)
  const half = (list: Support[]) =>
    list.reduce<Support[]>((chain, point) => {
      while (chain.length > 1 && cross(chain.at(-2)!, chain.at(-1)!, point) <= 0) chain.pop()
      return [...chain, point]
    }, [])
  const [lower, upper] = [half(sorted), half([...sorted].reverse())]
  return [...lower.slice(0, -1), ...upper.slice(0, -1)]
}
