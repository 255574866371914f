import { describe, expect, it } from 'vitest'
import { drawingFault, drawnValues } from './drawing-inputs'
import type { SheetField } from '../pack/sheets'

const head = { name: 'A field', about: '', when: [], steps: undefined }
const depth = { ...head, id: 'depth', kind: 'number', unit: 'mm', low: 0, high: 80 } as unknown as SheetField
const pieces = {
  ...head,
  id: 'pieces',
  kind: 'choice',
  answers: [{ id: 'one' }, { id: 'two' }],
} as unknown as SheetField

describe('what feeds a drawing', () => {
  it('is what stands in the field that the sheet names, nothing where nothing stands, and by name where it names none', () => {
    const entry = { kind: 'number', entry: { entered: '5', unit: 'mm', value: 5 } } as never
    expect(drawnValues({ draws: { depth: 'near-edge', tip: 'thin' } }, { 'near-edge': entry, other: entry })).toEqual({
      depth: entry,
    })
    expect(drawnValues({ draws: {} }, { depth: entry })).toEqual({})
    expect(drawnValues({}, { depth: entry })).toEqual({ depth: entry })
  })
  it.each([
    ['pilot', 'depth', depth, null],
    ['pilot', 'width', depth, 'pilot takes before, depth'],
    ['pilot', 'before', depth, 'wanted is points'],
    ['pilot', 'depth', undefined, 'unknown field'],
    ['shafts', 'pieces', pieces, null],
    ['shafts', 'pieces', depth, 'wanted is choice'],
    ['chain', 'linkage', pieces, 'has no answer cable'],
    ['bell', 'depth', depth, 'without values'],
    ['pilot', 'constructor', depth, 'pilot takes'],
  ] as const)('%s: %s', (drawing, input, field, reason) => {
    const found = drawingFault(drawing, input, field, 'the-field')
    if (reason === null) expect(found).toBeNull()
    else expect(found).toContain(reason)
  })
})
