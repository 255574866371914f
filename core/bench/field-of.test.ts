import { expect, it } from 'vitest'
import type { SheetField } from '../pack/sheets'
import { fieldOf } from './field-of'

const field = (change: object) => ({ id: 'f', name: 'F', ...change }) as unknown as SheetField

it('takes a number with its unit, once or as the first of several', () => {
  expect(fieldOf(field({ kind: 'number', unit: 'mm' }), 5.6)).toEqual({
    kind: 'number',
    entry: { entered: '5.6 mm', value: 5.6 },
  })
  expect(fieldOf(field({ kind: 'points', unit: 'mm' }), 0.02)).toEqual({
    kind: 'points',
    entries: [{ entered: '0.02 mm', value: 0.02 }],
  })
})
it('takes an answer by its words, and nothing that the field cannot hold', () => {
  const choice = field({
    kind: 'choice',
    answers: [
      { id: 'dry', label: 'dry' },
      { id: 'wet', label: 'wet round the lip' },
    ],
  })
  expect(fieldOf(choice, 'wet round the lip')).toEqual({ kind: 'choice', answer: 'wet' })
  expect(fieldOf(choice, 'soaked')).toBeNull()
  expect(fieldOf(choice, 3)).toBeNull()
})
