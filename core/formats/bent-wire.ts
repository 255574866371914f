import type { BentWire } from '../pack/bodies'
import { line } from './drawing'
import type { Drawing, PageShape } from './drawing'

const MARGIN_MM = 14
const TITLE_MM = 18
/** A bend is drawn in steps of about this many degrees. */
const STEP_DEG = 6

export interface BentWireText {
  title: string
  subtitle: string
  /** "cut" before a length. */
  length: (value: number, unit: string) => string
}

interface Bend {
  /** By how much the wire turns there, in degrees. */
  turnDeg: number
  /** Of the middle line, in mm. */
  radiusMm: number
  /** What the bend takes of each straight beside it, in mm. */
  takesMm: number
}

/** The bends of a wire, one at each inner point. A bend takes r tan(α/2) of either straight; it is made smaller where that is not there. */
function bendsOf({ points, bendRadiusMm, wireMm }: BentWire): Bend[] {
  return points.slice(1, -1).map((corner, index) => {
    const [before, after] = [points[index]!, points[index + 2]!]
    const turn = headingOf(corner, after) - headingOf(before, corner)
    const turned = Math.atan2(Math.sin(turn), Math.cos(turn))
    const room = Math.min(lengthOf(before, corner), lengthOf(corner, after)) / 2
    const half = Math.tan(Math.abs(turned) / 2)
    const radiusMm = Math.min(bendRadiusMm + wireMm / 2, half > 0 ? room / half : Infinity)
    return { turnDeg: (turned * 180) / Math.PI, radiusMm, takesMm: radiusMm * half }
  })
}

type Point = readonly [x: number, y: number]
const headingOf = (from: Point, to: Point) => Math.atan2(to[1] - from[1], to[0] - from[0])
const lengthOf = (from: Point, to: Point) => Math.hypot(to[0] - from[0], to[1] - from[1])

/**
 * How long the wire is cut, in mm: its straights and the arcs of its middle line.
 * The middle line keeps its length where the bend is not sharper than the wire is thick (handbook practice of bending round wire).
 */
export function cutLengthMm(wire: BentWire): number {
  const bends = bendsOf(wire)
  const straight = wire.points.slice(1).reduce((sum, point, index) => sum + lengthOf(wire.points[index]!, point), 0)
  return bends.reduce(
    (sum, { turnDeg, radiusMm, takesMm }) => sum - 2 * takesMm + (Math.abs(turnDeg) * Math.PI * radiusMm) / 180,
    straight,
  )
}

/** The middle line with its bends rounded. */
function middleLine(wire: BentWire): [number, number][] {
  const bends = bendsOf(wire)
  return wire.points.flatMap((corner, index): [number, number][] => {
    const bend = bends[index - 1]
    if (!bend || bend.takesMm === 0) return [[...corner]]
    const arriving = headingOf(wire.points[index - 1]!, corner)
    const side = Math.sign(bend.turnDeg)
    const start: Point = [corner[0] - bend.takesMm * Math.cos(arriving), corner[1] - bend.takesMm * Math.sin(arriving)]
    const centre: Point = [
      start[0] - side * bend.radiusMm * Math.sin(arriving),
      start[1] + side * bend.radiusMm * Math.cos(arriving),
    ]
    const steps = Math.max(2, Math.ceil(Math.abs(bend.turnDeg) / STEP_DEG))
    return Array.from({ length: steps + 1 }, (_, step) => {
      const heading = arriving + ((bend.turnDeg * Math.PI) / 180) * (step / steps)
      return [
        centre[0] + side * bend.radiusMm * Math.sin(heading),
        centre[1] - side * bend.radiusMm * Math.cos(heading),
      ]
    })
  })
}

/** A pin to bend from wire, at 1:1: laid on the paper, the wire covers its two lines. Length to cut, and the degrees of each bend. */
export function bentWire(wire: BentWire, text: BentWireText): Drawing {
  const middle = middleLine(wire)
  const left = Math.min(...middle.map(([x]) => x)) - MARGIN_MM
  const top = Math.min(...middle.map(([, y]) => y)) - MARGIN_MM - TITLE_MM
  const moved = (points: readonly Point[]): [number, number][] => points.map(([x, y]) => [x - left, y - top])
  const degreesOf = (bend: Bend) => `${Math.round(Math.abs(bend.turnDeg))}°`
  const [firstEnd, lastEnd] = [moved(middle)[0]!, moved(middle).at(-1)!]
  return {
    widthMm: Math.max(...middle.map(([x]) => x)) + MARGIN_MM - left,
    heightMm: Math.max(...middle.map(([, y]) => y)) + MARGIN_MM - top,
    shapes: [
      { kind: 'text', x: 4, y: 8, sizeMm: 6, anchor: 'start', bold: true, text: text.title },
      { kind: 'text', x: 4, y: 14, sizeMm: 3.6, anchor: 'start', text: text.subtitle },
      {
        kind: 'text',
        x: 4,
        y: 19,
        sizeMm: 3.6,
        anchor: 'start',
        text: `${wire.count} × wire ${text.length(wire.wireMm, 'mm')}, cut ${text.length(Math.round(cutLengthMm(wire)), 'mm')}`,
      },
      ...[-1, 1].map((side): PageShape => ({
        kind: 'path',
        points: moved(beside(middle, (side * wire.wireMm) / 2)),
        closed: false,
        widthMm: 0.3,
      })),
      { kind: 'path', points: moved(middle), closed: false, widthMm: 0.15, dash: true },
      ...[firstEnd, lastEnd].map(([x, y]) => line(x - 2, y, x + 2, y, 0.3)),
      ...bendsOf(wire).map((bend, index): PageShape => {
        const [x, y] = moved([wire.points[index + 1]!])[0]!
        return { kind: 'text', x: x + 3, y: y - 3, sizeMm: 3.2, anchor: 'start', text: degreesOf(bend) }
      }),
    ],
  }
}

/** A line beside another, at a distance; a round wire's two edges. */
function beside(points: readonly Point[], distance: number): [number, number][] {
  return points.map((point, index) => {
    const heading = headingOf(points[Math.max(0, index - 1)]!, points[Math.min(points.length - 1, index + 1)]!)
    return [point[0] - distance * Math.sin(heading), point[1] + distance * Math.cos(heading)]
  })
}
