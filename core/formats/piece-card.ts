import type { BoardBolt } from '../fasteners/bolt-board'
import { outlinePoints } from '../fasteners/bolt-board'
import type { Body, Piece } from '../pack/bodies'
import type { Outline } from '../pack/fasteners'
import { holeMm } from './bolt-card'
import { line } from './drawing'
import type { Drawing, PageShape } from './drawing'

const MARGIN_MM = 16
const TITLE_MM = 16
const ROW_MM = 3.6
/** Half of a plug's mark. */
const PLUG_MM = 4

export interface PieceCardText {
  title: string
  subtitle: string
  /** A name as the reader calls it. */
  name: (text: string) => string
  length: (value: number, unit: string) => string
}

/**
 * The underside of a body at 1:1: pockets with what lies in them, plugs with the wires that tell them, a hole for each bolt with its
 * length. Seen from below.
 */
export function pieceCard(body: Body, outline: Outline, bolts: BoardBolt[], text: PieceCardText): Drawing {
  const rim = outlinePoints(outline).map(([x, y]): [number, number] => [x, -y])
  const places = [...body.pockets, ...body.plugs].map(({ x, y }): [number, number] => [x, -y])
  const all = [...rim, ...places, ...bolts.map((bolt): [number, number] => [bolt.xMm, -bolt.yMm])]
  const left = Math.min(...all.map(([x]) => x)) - MARGIN_MM
  const top = Math.min(...all.map(([, y]) => y)) - MARGIN_MM - TITLE_MM
  const shift = (x: number, y: number): [number, number] => [x - left, -y - top]
  return {
    widthMm: Math.max(...all.map(([x]) => x)) + MARGIN_MM - left,
    heightMm: Math.max(...all.map(([, y]) => y)) + MARGIN_MM - top,
    shapes: [
      { kind: 'text', x: 4, y: 8, sizeMm: 6, anchor: 'start', bold: true, text: text.title },
      { kind: 'text', x: 4, y: 14, sizeMm: 3.6, anchor: 'start', text: text.subtitle },
      { kind: 'path', points: rim.map(([x, y]) => [x - left, y - top]), closed: true, widthMm: 0.6 },
      ...body.pockets.flatMap((pocket): PageShape[] => {
        const [x, y] = shift(pocket.x, pocket.y)
        return [
          { kind: 'circle', x, y, radiusMm: pocket.radiusMm, widthMm: 0.5 },
          words(x, y - 1, text.name(pocket.bag), true),
          ...pocket.pieces.map((piece, row) => words(x, y + 3 + row * ROW_MM, pieceWords(piece, text))),
        ]
      }),
      ...body.plugs.flatMap((plug): PageShape[] => {
        const [x, y] = shift(plug.x, plug.y)
        return [square(x, y, PLUG_MM, plug.lock === 'false-tab'), words(x, y + PLUG_MM + 3.4, text.name(plug.wires))]
      }),
      ...bolts.flatMap((bolt): PageShape[] => {
        const [x, y] = shift(bolt.xMm, bolt.yMm)
        const radiusMm = holeMm(bolt) / 2
        return [
          { kind: 'circle', x, y, radiusMm, widthMm: 0.4 },
          line(x - radiusMm - 1, y, x + radiusMm + 1, y, 0.15),
          line(x, y - radiusMm - 1, x, y + radiusMm + 1, 0.15),
          ...(bolt.lengthMm === undefined ? [] : [words(x, y + radiusMm + 3.4, text.length(bolt.lengthMm, 'mm'))]),
        ]
      }),
    ],
  }
}

/** What a piece is called on paper: a spring with its paint. */
export function pieceWords(piece: Piece, { name }: Pick<PieceCardText, 'name'>): string {
  return [name(piece.name), piece.spring?.paint].filter(Boolean).join(', ')
}

const words = (x: number, y: number, text: string, bold = false): PageShape => ({
  kind: 'text',
  x,
  y,
  sizeMm: 3,
  anchor: 'middle',
  text,
  ...(bold ? { bold } : {}),
})

/** A plug; one with a tab that only looks like one has a bar across. */
function square(x: number, y: number, half: number, isBarred: boolean): PageShape {
  const corners: [number, number][] = [
    [x - half, y - half],
    [x + half, y - half],
    [x + half, y + half],
    [x - half, y + half],
  ]
  return {
    kind: 'path',
    points: isBarred ? [...corners, [x - half, y - half], [x + half, y + half]] : corners,
    closed: !isBarred,
    widthMm: 0.4,
  }
}
