import type { BoltMap, FastenerGroup, Outline } from '../pack/fasteners'
import type { Procedure } from '../pack/pack'
import { FieldError, within } from '../base/field-error'

export const boltConditions = ['good', 'corroded', 'stretched', 'rounded', 'sheared', 'stripped'] as const
/** What a bolt was like as it came out. */
export type BoltCondition = (typeof boltConditions)[number]

export const headKinds = ['hex', 'e-hexalobular', 't-hexalobular', '12-point', 'triple-square', 'hex-key'] as const
/** Head and drive: hexagon, hexalobular outside (E) or inside (T), 12-point, triple-square, hex key. */
export type HeadKind = (typeof headKinds)[number]

export const boltStands = ['untouched', 'out', 'started', 'snug', 'figure', 'feel'] as const
/**
 * How a bolt stands: as it was when the car came, out, started by hand or cracked, snug and nothing more,
 * at its figure, or tight by feel where no figure is named.
 */
export type BoltStand = (typeof boltStands)[number]

/** What is known of a bolt. Everything may be missing. */
export interface BoltDetails {
  thread?: string
  /** Under the head, in mm. */
  lengthMm?: number
  head?: HeadKind
  /** Size of the tool as it is stamped: `18`, `E14`, `T50`. */
  drive?: string
  /** The side it goes in from. */
  from?: 'box' | 'engine'
  holds?: string
  /** What its thread goes into. */
  material?: 'aluminium' | 'iron' | 'steel'
  singleUse?: boolean
  note?: string
}

/** A bolt on the board. Place in mm about the middle, +y up, as seen from the side of the gearbox. */
export interface BoardBolt extends BoltDetails {
  id: string
  xMm: number
  yMm: number
  /** The step that takes it out, where the layout knows it. */
  offWith: string | null
  stand: BoltStand
  /** The entry of the ledger that it counts for while it is out. */
  entry: string | null
  /** `null` until somebody has looked at it. */
  condition: BoltCondition | null
  /** One of its group broke: it has had the same load. */
  suspect: boolean
}

export interface BoltBoard {
  group: string
  /** Id of the outline. */
  outline: string
  bolts: BoardBolt[]
}

/** The board of a group as its layout draws it; bolts on a plain circle where the layout has no map. */
export function typicalBoard(group: FastenerGroup, procedure: Pick<Procedure, 'outlines' | 'operations'>): BoltBoard {
  const map = group.board ?? plainRing(group.count)
  const outline = procedure.outlines.some(entry => entry.id === map.outline)
    ? map.outline
    : (procedure.outlines[0]?.id ?? '')
  return {
    group: group.id,
    outline,
    bolts: map.places.map(({ id, x, y, offWith, from, lengthMm, holds }) => ({
      id,
      xMm: x,
      yMm: y,
      offWith:
        offWith !== undefined && procedure.operations.some(operation => operation.id === offWith) ? offWith : null,
      ...(from ? { from } : {}),
      ...(lengthMm === undefined ? {} : { lengthMm }),
      ...(holds ? { holds } : {}),
      stand: 'untouched',
      entry: null,
      condition: null,
      suspect: false,
    })),
  }
}

const PLAIN_RADIUS_MM = 90

function plainRing(count: number): BoltMap {
  return {
    outline: 'plain-ring',
    places: ringPlaces(count, PLAIN_RADIUS_MM).map((place, index) => ({ id: `r${index + 1}`, ...place })),
  }
}

/** Places evenly on a circle, the first at the top, clockwise. In mm. */
export function ringPlaces(count: number, radiusMm: number): { x: number; y: number }[] {
  within('count', count, 0, 10_000, 'The number of places')
  within('radiusMm', radiusMm, 0, 1e6, 'The radius in mm')
  return Array.from({ length: count }, (_, index) => {
    const angle = (2 * Math.PI * index) / count
    return { x: Math.round(radiusMm * Math.sin(angle) * 10) / 10, y: Math.round(radiusMm * Math.cos(angle) * 10) / 10 }
  })
}

/**
 * Where a bolt is on the clock, to the half hour: `12`, `4:30`. Seen from the engine the clock is mirrored.
 * A bolt in the very middle is at no hour: `middle`.
 */
export function clockPosition(xMm: number, yMm: number, seenFrom: 'box' | 'engine' = 'box'): string {
  within('xMm', xMm, -1e6, 1e6, 'A place')
  within('yMm', yMm, -1e6, 1e6, 'A place')
  if (Math.hypot(xMm, yMm) < 1) return 'middle'
  const turn = Math.atan2(seenFrom === 'box' ? xMm : -xMm, yMm) / (2 * Math.PI)
  const halves = Math.round(((turn + 1) % 1) * 24) % 24
  const hour = Math.floor(halves / 2)
  return `${hour === 0 ? 12 : hour}${halves % 2 ? ':30' : ''}`
}

/** How wide the board reaches, in mm: nothing is placed beyond. */
export const BOARD_REACH_MM = 600

/** A bolt can stand nowhere but on the board, and not on another. @throws FieldError on `xMm` or `yMm` */
export function checkPlace(board: BoltBoard, boltId: string, xMm: number, yMm: number): void {
  within('xMm', xMm, -BOARD_REACH_MM, BOARD_REACH_MM, 'A place in mm')
  within('yMm', yMm, -BOARD_REACH_MM, BOARD_REACH_MM, 'A place in mm')
  if (board.bolts.some(bolt => bolt.id !== boltId && Math.hypot(bolt.xMm - xMm, bolt.yMm - yMm) < 2))
    throw new FieldError('xMm', 'Another bolt stands there.')
}

export const isOut = (bolt: Pick<BoardBolt, 'stand'>): boolean => bolt.stand === 'out'

/** A bolt whose head has gone holds nothing, in or out. */
export const holdsPart = (bolt: Pick<BoardBolt, 'stand' | 'condition'>): boolean =>
  !isOut(bolt) && bolt.condition !== 'sheared'

/** What the board counts. */
export interface BoardCount {
  bolts: number
  in: BoardBolt[]
  out: number
  /** Out, but nobody has looked at them. */
  notAsked: BoardBolt[]
}

/** Whether one is left that holds, and which. A sheared stub holds nothing. */
export function countBoard(board: BoltBoard): BoardCount {
  const still = board.bolts.filter(holdsPart)
  return {
    bolts: board.bolts.length,
    in: still,
    out: board.bolts.length - still.length,
    notAsked: board.bolts.filter(bolt => isOut(bolt) && bolt.condition === null),
  }
}

/** A bolt in words: its number on the board and its hour. */
export function boltName(board: BoltBoard, bolt: BoardBolt, seenFrom: 'box' | 'engine' = 'box'): string {
  const hour = clockPosition(bolt.xMm, bolt.yMm, seenFrom)
  return `bolt ${board.bolts.indexOf(bolt) + 1} ${hour === 'middle' ? 'in the middle' : `at ${hour} o’clock`}`
}

/** The closed line of an outline through its points, in mm; a circle as many short lines. */
export function outlinePoints(outline: Outline): [x: number, y: number][] {
  if (outline.circleMm !== undefined) return ringPlaces(120, outline.circleMm).map(({ x, y }) => [x, y])
  const points = outline.points!
  return outline.smooth ? smoothed(points) : points
}

const PIECES = 12

/** A closed Catmull–Rom curve through the points. */
function smoothed(points: [number, number][]): [number, number][] {
  const at = (index: number) => points[(index + points.length) % points.length]!
  return points.flatMap((_, index) => {
    const [a, b, c, d] = [at(index - 1), at(index), at(index + 1), at(index + 2)]
    return Array.from({ length: PIECES }, (_unused, piece): [number, number] => {
      const t = piece / PIECES
      const along = (axis: 0 | 1) =>
        0.5 *
        (2 * b[axis] +
          (c[axis] - a[axis]) * t +
          (2 * a[axis] - 5 * b[axis] + 4 * c[axis] - d[axis]) * t ** 2 +
          (3 * b[axis] - a[axis] - 3 * c[axis] + d[axis]) * t ** 3)
      return [along(0), along(1)]
    })
  })
}
