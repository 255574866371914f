import { describe, expect, it } from 'vitest'
import type { BoltBoard } from '../fasteners'
import type { Outline } from '../packs'
import { bagLabels } from './bag-labels'
import { boltCard, cardLabel, holeMm } from './bolt-card'
import { drawingSvg } from './drawing-svg'
import { OVERLAP_MM, tiledSheets } from './tiled-sheets'

const outline: Outline = {
  id: 'bell',
  name: 'Bell',
  points: [
    [-190, 0],
    [0, 200],
    [190, 0],
    [0, -170],
  ],
  smooth: true,
  marks: [{ name: 'Input <shaft>', x: 30, y: 0, radiusMm: 16 }],
}
const bolt = (id: string, xMm: number, yMm: number, more = {}): BoltBoard['bolts'][number] => ({
  id,
  xMm,
  yMm,
  offWith: null,
  stand: 'untouched',
  entry: null,
  condition: null,
  suspect: false,
  ...more,
})
const board: BoltBoard = {
  group: 'bell-bolts',
  outline: 'bell',
  bolts: [
    bolt('a', 0, 180, { thread: 'M12', lengthMm: 55, drive: '18', holds: 'Starter' }),
    bolt('b', 150, -87),
    bolt('c', -150, -87, { thread: 'M8x1' }),
  ],
}
const text = { title: 'Bell bolts', subtitle: 'Job 7', label: cardLabel }
const holes = (drawing: ReturnType<typeof boltCard>) => drawing.shapes.filter(shape => shape.kind === 'circle').slice(1)

describe('boltCard', () => {
  it('keeps every distance at one to one', () => {
    const [a, b, c] = holes(boltCard(board, outline, text)) as { x: number; y: number }[]
    expect(Math.hypot(a!.x - b!.x, a!.y - b!.y)).toBeCloseTo(Math.hypot(150, 267), 9)
    expect(b!.x - c!.x).toBeCloseTo(300, 9)
  })
  it('makes holes that hold each bolt', () => {
    expect(board.bolts.map(holeMm)).toEqual([12.5, 8.5, 8.5])
    expect(holeMm({ ...board.bolts[0]!, thread: 'nonsense' })).toBe(8.5)
  })
  it('is mirrored from the engine, hours and all', () => {
    const [, b] = holes(boltCard(board, outline, text, 'engine')) as { x: number }[]
    const [, seen] = holes(boltCard(board, outline, text)) as { x: number }[]
    expect(b!.x).not.toBeCloseTo(seen!.x, 3)
    expect(cardLabel(board.bolts[1]!)[0]).toBe("4 o'clock")
    expect(cardLabel(board.bolts[1]!, 'engine')[0]).toBe("8 o'clock")
  })
  it('says size, tool and what a bolt holds', () => {
    expect(cardLabel(board.bolts[0]!)).toEqual(["12 o'clock", 'M12 × 55 mm, tool 18', 'Starter'])
  })
})

describe('tiledSheets', () => {
  const drawing = boltCard(board, outline, text)
  it.each(['a4', 'letter'] as const)('covers the whole drawing on %s with an overlap', paper => {
    const sheets = tiledSheets(drawing, paper, 'Bell bolts')
    const right = Math.max(...sheets.map(({ window }) => window!.fromX + window!.widthMm))
    const bottom = Math.max(...sheets.map(({ window }) => window!.fromY + window!.heightMm))
    expect(right).toBeGreaterThanOrEqual(drawing.widthMm)
    expect(bottom).toBeGreaterThanOrEqual(drawing.heightMm)
    expect(sheets[1]!.window!.fromX).toBeCloseTo(sheets[0]!.window!.widthMm - OVERLAP_MM, 9)
  })
  it('puts the crosses of neighbours on one another', () => {
    const [first, second] = tiledSheets(drawing, 'a4', 'Bell bolts')
    const inDrawing = (sheet: typeof first) =>
      sheet!.shapes.flatMap(shape =>
        shape.kind === 'path' && shape.widthMm === 0.2
          ? [
              shape.points
                .map(
                  ([x, y]) =>
                    `${(x - sheet!.window!.x + sheet!.window!.fromX).toFixed(6)},${(y - sheet!.window!.y + sheet!.window!.fromY).toFixed(6)}`,
                )
                .join(' '),
            ]
          : [],
      )
    const shared = inDrawing(first).filter(cross => inDrawing(second).includes(cross))
    expect(shared).toHaveLength(4)
  })
  it('takes one sheet where one is enough', () => {
    expect(tiledSheets({ widthMm: 100, heightMm: 100, shapes: [] }, 'letter', 'Cover')).toHaveLength(1)
  })
})

describe('bagLabels', () => {
  it('fills as many sheets as it takes and cuts what is too long', () => {
    const labels = Array.from({ length: 30 }, (_, index) => ({
      title: `Bag ${index} with a very long name indeed`,
      lines: ['one'],
    }))
    const sheets = bagLabels(labels, 'a4')
    expect(sheets).toHaveLength(2)
    expect(sheets[0]!.shapes.filter(shape => shape.kind === 'path')).toHaveLength(21)
    expect(sheets[0]!.shapes.find(shape => shape.kind === 'text')).toMatchObject({ text: 'Bag 0 with a very long …' })
  })
})

describe('drawingSvg', () => {
  it('is in millimetres and escapes what it prints', () => {
    const svg = drawingSvg(boltCard(board, outline, text))
    expect(svg).toMatch(/width="[\d.]+mm" height="[\d.]+mm" viewBox="0 0 /)
    expect(svg).toContain('Input &lt;shaft&gt;')
    expect(svg).not.toContain('NaN')
  })
})
