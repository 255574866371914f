import { describe, expect, it } from 'vitest'
import { boltName, checkPlace, clockPosition, countBoard, outlinePoints, ringPlaces, typicalBoard } from './bolt-board'

const outline = {
  id: 'bell',
  name: 'Bell',
  points: [
    [0, 100],
    [100, 0],
    [0, -100],
    [-100, 0],
  ] as [number, number][],
  smooth: true,
  marks: [],
}
const operation = { id: 'bolts-off' } as never
const group = {
  id: 'bell-bolts',
  name: 'Bell bolts',
  count: 2,
  part: 'vehicle' as const,
  board: {
    outline: 'bell',
    places: [
      { id: 'a', x: 0, y: 90, offWith: 'bolts-off', holds: 'Starter' },
      { id: 'b', x: 90, y: 0, offWith: 'elsewhere', from: 'engine' as const },
    ],
  },
}

describe('typicalBoard', () => {
  it('starts from the layout’s map, with the steps this job has', () => {
    const board = typicalBoard(group, { outlines: [outline], operations: [operation] })
    expect(board.bolts).toMatchObject([
      { id: 'a', offWith: 'bolts-off', holds: 'Starter', stand: 'untouched', condition: null },
      { id: 'b', offWith: null, from: 'engine' },
    ])
  })
  it('puts bolts of a group without a map on a plain circle', () => {
    const { board: _map, ...bare } = { ...group, count: 5 }
    const board = typicalBoard(bare, { outlines: [{ ...outline, id: 'plain-ring' }], operations: [] })
    expect(board.outline).toBe('plain-ring')
    expect(board.bolts.map(bolt => Math.round(Math.hypot(bolt.xMm, bolt.yMm)))).toEqual([90, 90, 90, 90, 90])
  })
})

describe('clockPosition', () => {
  it('is read from the box, and mirrored from the engine', () => {
    expect([clockPosition(0, 50), clockPosition(50, 0), clockPosition(0, -50), clockPosition(-50, 0)]).toEqual([
      '12',
      '3',
      '6',
      '9',
    ])
    expect(clockPosition(50, 0, 'engine')).toBe('9')
    expect(clockPosition(-1, 50)).toBe('12')
    expect(clockPosition(13, 50)).toBe('12:30')
    expect(clockPosition(0, 0)).toBe('middle')
  })
})

describe('countBoard', () => {
  it('says which are left and which nobody looked at', () => {
    const board = typicalBoard(group, { outlines: [outline], operations: [operation] })
    const out = {
      ...board,
      bolts: board.bolts.map((bolt, index) => ({ ...bolt, stand: index === 0 ? ('out' as const) : bolt.stand })),
    }
    expect(countBoard(out)).toMatchObject({ bolts: 2, out: 1, in: [{ id: 'b' }], notAsked: [{ id: 'a' }] })
    expect(boltName(out, out.bolts[1]!)).toBe('bolt 2 at 3 o’clock')
  })
})

describe('checkPlace', () => {
  it('keeps bolts on the board and apart', () => {
    const board = typicalBoard(group, { outlines: [outline], operations: [operation] })
    expect(() => checkPlace(board, 'c', 0, 91)).toThrow('Another bolt stands there')
    expect(() => checkPlace(board, 'a', 0, 91)).not.toThrow()
    expect(() => checkPlace(board, 'c', 5000, 0)).toThrow('xMm')
    expect(() => checkPlace(board, 'c', 0, Number.NaN)).toThrow('yMm')
  })
})

describe('outlinePoints', () => {
  it('runs a smooth line through its points and a circle at its radius', () => {
    const line = outlinePoints(outline)
    for (const point of outline.points) expect(line).toContainEqual(point)
    expect(line.length).toBe(48)
    expect(
      outlinePoints({ id: 'c', name: 'Circle', circleMm: 50, marks: [] }).every(
        ([x, y]) => Math.abs(Math.hypot(x, y) - 50) < 0.1,
      ),
    ).toBe(true)
    expect(ringPlaces(4, 10)).toEqual([
      { x: 0, y: 10 },
      { x: 10, y: 0 },
      { x: 0, y: -10 },
      { x: -10, y: -0 },
    ])
  })
})
