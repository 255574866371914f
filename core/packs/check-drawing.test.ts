import { describe, expect, it } from 'vitest'
import { checkDrawing } from './check-drawing'
import type { CarDrawing } from '../pack/drawing'

const thing = (id: string): CarDrawing['things'][number] => ({
  id,
  name: id,
  items: [],
  fixings: [],
  appears: false,
  optional: false,
  groups: [],
  side: [['circle', 0, 0, 10]],
  top: [],
  onGround: false,
})
const drawing = (change: Partial<CarDrawing>): CarDrawing => ({
  id: 'd',
  title: 'D',
  raisedMm: 400,
  fromMm: 0,
  toMm: 1000,
  upMm: 900,
  body: { side: [], top: [] },
  things: [thing('engine'), thing('mount')],
  carried: [],
  ...change,
})

describe('checkDrawing', () => {
  it('passes a drawing whose names lead somewhere', () => {
    expect(checkDrawing(drawing({ leans: { fact: 'low', degrees: 3, about: [0, 0], things: ['engine'] } }))).toEqual([])
  })
  it('tells ids that stand twice, and what carries, is touched or leans and is not drawn', () => {
    expect(checkDrawing(drawing({ things: [thing('engine'), thing('engine')] }))).toEqual([
      { path: 'drawing.things[engine]', reason: 'the id "engine" stands twice' },
    ])
    const carried = [
      {
        id: 'all',
        name: 'All',
        masses: [{ id: 'engine', name: 'Engine', kg: [1, 2, 3] as [number, number, number], at: 0 }],
        supports: [{ thing: 'jack', at: 0, pieces: 1, gone: [], under: 'box' }],
      },
    ]
    expect(checkDrawing(drawing({ carried })).map(fault => fault.reason)).toEqual([
      'there is no thing "jack" on the drawing',
      'there is no mass "box"',
    ])
    expect(
      checkDrawing(drawing({ leans: { fact: 'low', degrees: 3, about: [0, 0], things: ['tail'] } }))[0]!.path,
    ).toBe('drawing.leans.things')
  })
})
