import { outlinePoints, clockPosition } from '../fasteners/bolt-board'
import type { BoardBolt, BoltBoard } from '../fasteners/bolt-board'
import { parseThread } from '../fasteners/thread'
import type { Outline } from '../pack/fasteners'
import { line } from './drawing'
import type { Drawing, PageShape } from './drawing'

const MARGIN_MM = 14
const TITLE_MM = 16
/** A hole where the thread is not known. */
const USUAL_HOLE_MM = 8
/** A bolt is pushed through its hole and stays. */
const CLEARANCE_MM = 0.5

/** Diameter of the hole that holds a bolt in the card, in mm. */
export function holeMm(bolt: BoardBolt): number {
  try {
    return (bolt.thread ? parseThread(bolt.thread).diameterMm : USUAL_HOLE_MM) + CLEARANCE_MM
  } catch {
    return USUAL_HOLE_MM + CLEARANCE_MM
  }
}

export interface CardText {
  title: string
  /** Car, job, view. */
  subtitle: string
  /** What stands beside a bolt, line by line. */
  label: (bolt: BoardBolt) => string[]
}

/**
 * The board as a card to be cut out at 1:1: outline, a hole for each bolt with its label, marks of what else is there.
 * @param seenFrom the engine's side mirrors it
 */
export function boltCard(
  board: BoltBoard,
  outline: Outline,
  text: CardText,
  seenFrom: 'box' | 'engine' = 'box',
): Drawing {
  const side = seenFrom === 'box' ? 1 : -1
  const rim = outlinePoints(outline).map(([x, y]): [number, number] => [side * x, -y])
  const places = board.bolts.map((bolt): [number, number] => [side * bolt.xMm, -bolt.yMm])
  const all = [...rim, ...places]
  const left = Math.min(...all.map(([x]) => x)) - MARGIN_MM
  const top = Math.min(...all.map(([, y]) => y)) - MARGIN_MM - TITLE_MM
  const widthMm = Math.max(...all.map(([x]) => x)) + MARGIN_MM - left
  const heightMm = Math.max(...all.map(([, y]) => y)) + MARGIN_MM - top
  const shift = ([x, y]: [number, number]): [number, number] => [x - left, y - top]
  return {
    widthMm,
    heightMm,
    shapes: [
      { kind: 'text', x: 4, y: 8, sizeMm: 6, anchor: 'start', bold: true, text: text.title },
      { kind: 'text', x: 4, y: 14, sizeMm: 3.6, anchor: 'start', text: text.subtitle },
      { kind: 'path', points: rim.map(shift), closed: true, widthMm: 0.6 },
      ...outline.marks.flatMap(mark => markShapes(mark.name, ...shift([side * mark.x, -mark.y]), mark.radiusMm)),
      ...board.bolts.flatMap((bolt, index) => boltShapes(bolt, index, shift(places[index]!), side * bolt.xMm, text)),
    ],
  }
}

function markShapes(name: string, x: number, y: number, radiusMm: number): PageShape[] {
  return [
    { kind: 'circle', x, y, radiusMm, widthMm: 0.2 },
    { kind: 'text', x, y: y + 1.2, sizeMm: 3.2, anchor: 'middle', text: name },
  ]
}

/** Hole, cross hairs, number and label; the label stands on the side of the middle, where there is card. */
function boltShapes(
  bolt: BoardBolt,
  index: number,
  [x, y]: [number, number],
  offsetX: number,
  text: CardText,
): PageShape[] {
  const radiusMm = holeMm(bolt) / 2
  const anchor = offsetX > 1 ? 'end' : 'start'
  const labelX = anchor === 'end' ? x - radiusMm - 3 : x + radiusMm + 3
  return [
    { kind: 'circle', x, y, radiusMm, widthMm: 0.4 },
    line(x - radiusMm - 2, y, x + radiusMm + 2, y, 0.15),
    line(x, y - radiusMm - 2, x, y + radiusMm + 2, 0.15),
    { kind: 'text', x: labelX, y: y + 0.5, sizeMm: 5, anchor, bold: true, text: `${index + 1}` },
    ...text.label(bolt).map((words, row): PageShape => ({
      kind: 'text',
      x: labelX,
      y: y + 4.5 + row * 3.8,
      sizeMm: 3.2,
      anchor,
      text: words,
    })),
  ]
}

/** What a card says of a bolt where nobody says otherwise: hour, size, tool, and what it holds. */
export function cardLabel(
  bolt: BoardBolt,
  seenFrom: 'box' | 'engine' = 'box',
  length = (value: number, unit: string) => `${value} ${unit}`,
): string[] {
  const size = [bolt.thread, bolt.lengthMm === undefined ? undefined : `× ${length(bolt.lengthMm, 'mm')}`]
    .filter(Boolean)
    .join(' ')
  const hour = clockPosition(bolt.xMm, bolt.yMm, seenFrom)
  return [
    [hour === 'middle' ? 'middle' : `${hour} o'clock`, bolt.from === 'engine' ? 'from the engine' : '']
      .filter(Boolean)
      .join(', '),
    [size, bolt.drive ? `tool ${bolt.drive}` : ''].filter(Boolean).join(', '),
    bolt.holds ?? '',
    bolt.singleUse ? 'renew' : '',
  ].filter(Boolean)
}
