import { describe, expect, it } from 'vitest'
import type { Body } from '../pack/bodies'
import { pieceCard, pieceWords } from './piece-card'

const body: Body = {
  id: 'b',
  name: 'Body',
  outline: 'o',
  groups: [],
  opens: 'x',
  closes: 'y',
  steps: [],
  pockets: [
    {
      id: 'p',
      name: 'Pocket',
      x: -30,
      y: 20,
      radiusMm: 12,
      bag: 'bag P1',
      pieces: [{ id: 's', name: 'spring', kind: 'spring', spring: { paint: 'blue' } }],
    },
  ],
  plugs: [{ id: 'g', name: 'Plug', x: 40, y: -10, lock: 'false-tab', wires: 'red' }],
}
const outline = {
  id: 'o',
  name: 'O',
  points: [
    [-60, 40],
    [60, 40],
    [60, -40],
    [-60, -40],
  ] as [number, number][],
  marks: [],
}
const text = {
  title: 'T',
  subtitle: 'S',
  name: (each: string) => each,
  length: (value: number, unit: string) => `${value} ${unit}`,
}
const bolt = {
  id: 'w',
  xMm: 0,
  yMm: 0,
  lengthMm: 32,
  thread: 'M6',
  offWith: null,
  stand: 'untouched',
  entry: null,
  condition: null,
  suspect: false,
} as const

describe('pieceCard', () => {
  const card = pieceCard(body, outline, [bolt], text)
  it('is as large as the part and its margins, a millimetre a millimetre', () => {
    expect(card.widthMm).toBeCloseTo(120 + 32, 9)
    expect(card.heightMm).toBeCloseTo(80 + 32 + 16, 9)
  })
  it('has the pocket where it is, as wide as it is, above what lies higher on the part', () => {
    const circle = card.shapes.find(shape => shape.kind === 'circle' && shape.radiusMm === 12)
    expect(circle).toMatchObject({ x: 60 - 30 + 16, y: 40 - 20 + 32 })
  })
  it('tells a bolt by its length, a plug by its wires, a spring by its paint', () => {
    const said = card.shapes.flatMap(shape => (shape.kind === 'text' ? shape.text : []))
    expect(said).toEqual(expect.arrayContaining(['32 mm', 'red', 'spring, blue', 'bag P1']))
    expect(pieceWords({ id: 'x', name: 'seal', kind: 'seal' }, text)).toBe('seal')
  })
  it('bars the plug whose tab is none', () => {
    const bars = card.shapes.filter(shape => shape.kind === 'path' && !shape.closed && shape.points.length === 6)
    expect(bars).toHaveLength(1)
  })
})
