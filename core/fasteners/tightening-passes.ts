import { FieldError } from '../base/field-error'
import { crossPattern } from './cross-pattern'
import type { Figure, Pattern } from './figure'
import { stagesOf } from './figure'
import { checkPlaces, tighteningOrder } from './tightening-order'
import type { Point } from './tightening-order'

export const passKinds = ['ease', 'contact', 'part', 'full', 'angle', 'check', 'out'] as const
export type PassKind = (typeof passKinds)[number]

/** One time round the bolts. */
export interface TighteningPass {
  kind: PassKind
  /** The wrench setting, or `null` where the bolt is turned by hand or by an angle. */
  torqueNm: number | null
  /** Degrees to turn, where it goes by angle. */
  angleDeg?: number
  /** A pause before this pass, in minutes. */
  waitMinutes?: number
  /** Bolt indices in the order they are turned. */
  order: number[]
}

/** Half the figure on the way draws the part down without bending it. Common practice, no source. */
const PART_SHARE = 0.5
/** How far each bolt is eased before the next, in degrees. Common practice, no source. */
const EASE_DEG = 180
const EASE_LAPS = 2

/** Bolts whose distance from the middle differs by less than this share count as equally near. */
const RING = 0.05

export const FEWEST_BOLTS = 3
export const MOST_BOLTS = 24

/** No wrench of a garage turns that hard, in N·m. */
const MOST_NM = 10_000

function checkCount(boltCount: number): void {
  if (!Number.isInteger(boltCount) || boltCount < FEWEST_BOLTS || boltCount > MOST_BOLTS)
    throw new FieldError('bolts', `a tightening run has ${FEWEST_BOLTS} to ${MOST_BOLTS} bolts, not ${boltCount}`)
}

/** Round the part by the angle of each bolt about the middle, clockwise from the first. */
export function aroundOrder(positions: Point[]): number[] {
  if (positions.length === 0) throw new FieldError('positions', 'At least one bolt is wanted.')
  checkPlaces(positions)
  const x = positions.reduce((sum, point) => sum + point.x, 0) / positions.length
  const y = positions.reduce((sum, point) => sum + point.y, 0) / positions.length
  const angle = (point: Point) => Math.atan2(point.x - x, point.y - y)
  const first = angle(positions[0]!)
  const clock = (point: Point) => (angle(point) - first + 4 * Math.PI) % (2 * Math.PI)
  return positions.map((_, index) => index).sort((a, b) => clock(positions[a]!) - clock(positions[b]!) || a - b)
}

/** From the bolts nearest the middle outwards, each time to the side that lies farther from the last. */
export function middleOutOrder(positions: Point[]): number[] {
  if (positions.length === 0) throw new FieldError('positions', 'At least one bolt is wanted.')
  checkPlaces(positions)
  const x = positions.reduce((sum, point) => sum + point.x, 0) / positions.length
  const y = positions.reduce((sum, point) => sum + point.y, 0) / positions.length
  const away = positions.map(point => Math.hypot(point.x - x, point.y - y))
  const reach = Math.max(...away)
  const left = positions.map((_, index) => index)
  const order: number[] = []
  while (left.length > 0) {
    const nearest = Math.min(...left.map(index => away[index]!))
    const ring = left.filter(index => away[index]! <= nearest + RING * reach)
    const last = positions[order.at(-1) ?? ring[0]!]!
    const next = ring.reduce((best, index) =>
      Math.hypot(positions[index]!.x - last.x, positions[index]!.y - last.y) >
      Math.hypot(positions[best]!.x - last.x, positions[best]!.y - last.y) + 1e-9
        ? index
        : best,
    )
    order.push(next)
    left.splice(left.indexOf(next), 1)
  }
  return order
}

/** How the bolts lie: the order of the passes, and the lap round. A bare count stands for an even circle, which has no middle to begin from. */
function ordersOf(bolts: number | Point[], pattern: Pattern = 'across'): { across: number[]; around: number[] } {
  const count = typeof bolts === 'number' ? bolts : bolts.length
  checkCount(count)
  const around = typeof bolts === 'number' ? Array.from({ length: bolts }, (_, index) => index) : aroundOrder(bolts)
  if (pattern === 'round') return { across: around, around }
  if (typeof bolts === 'number') return { across: crossPattern(bolts), around }
  return { across: pattern === 'middle-out' ? middleOutOrder(bolts) : tighteningOrder(bolts), around }
}

/**
 * The passes that bring bolts to their figure: contact by hand, part torque, full torque, across the part in the pattern of
 * its arrangement, the angles and waits the source gives, then a check lap round at the full figure. After an angle there is
 * no check lap: a torque says nothing of a bolt that was turned on.
 *
 * Source: common practice, no source.
 * @param bolts how many on an even circle, or where they are; 3 to 24
 * @param figure a torque in N·m above zero, or a figure with its stages
 * @throws RangeError on a count or a figure outside these
 */
export function tighteningPasses(bolts: number | Point[], figure: number | Figure): TighteningPass[] {
  const { across, around } = ordersOf(bolts, typeof figure === 'number' ? undefined : figure.pattern)
  const stages = typeof figure === 'number' ? [{ kind: 'torque' as const, torqueNm: figure }] : stagesOf(figure)
  const finalNm = typeof figure === 'number' ? figure : figure.torqueNm
  if (!(finalNm > 0 && finalNm < MOST_NM))
    throw new FieldError('figure', 'a tightening run needs a figure above zero that a wrench can set')
  const torques = stages.filter(stage => stage.kind === 'torque').length
  const passes: TighteningPass[] = [{ kind: 'contact', torqueNm: null, order: across }]
  if (torques === 1) passes.push({ kind: 'part', torqueNm: Math.round(finalNm * PART_SHARE * 10) / 10, order: across })
  let waitMinutes = 0
  let torquesDone = 0
  for (const stage of stages) {
    const pause = waitMinutes > 0 ? { waitMinutes } : {}
    if (stage.kind === 'wait') waitMinutes += stage.minutes
    else waitMinutes = 0
    if (stage.kind === 'torque')
      passes.push({
        kind: ++torquesDone === torques ? 'full' : 'part',
        torqueNm: stage.torqueNm,
        order: across,
        ...pause,
      })
    if (stage.kind === 'angle')
      passes.push({ kind: 'angle', torqueNm: null, angleDeg: stage.angleDeg, order: across, ...pause })
    if (stage.kind === 'lap') passes.push({ kind: 'check', torqueNm: finalNm, order: around, ...pause })
  }
  const last = stages.at(-1)!.kind
  if (last !== 'lap' && !stages.some(stage => stage.kind === 'angle'))
    passes.push({ kind: 'check', torqueNm: finalNm, order: around, ...(waitMinutes > 0 ? { waitMinutes } : {}) })
  return passes
}

/**
 * The passes that let a sprung part off without warping it: half a turn at a time, twice round across the part,
 * then out. Source: common practice, no source.
 * @throws RangeError on a count outside 3 to 24
 */
export function looseningPasses(bolts: number | Point[]): TighteningPass[] {
  const { across } = ordersOf(bolts)
  return [
    ...Array.from({ length: EASE_LAPS }, (): TighteningPass => ({
      kind: 'ease',
      torqueNm: null,
      angleDeg: EASE_DEG,
      order: across,
    })),
    { kind: 'out', torqueNm: null, order: across },
  ]
}
