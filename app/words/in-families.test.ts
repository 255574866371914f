import { expect, it } from 'vitest'
import { inFamilies } from './in-families'

const line = (id: string, family?: string) => ({ id, ...(family ? { family } : {}) })
it('keeps the order of the lines, and of the families by their first; who names none stands last', () => {
  const grouped = inFamilies([line('ours'), line('a', 'Front'), line('b', 'Rear'), line('c', 'Front')])
  expect(grouped.map(([family, lines]) => [family, lines.map(({ id }) => id)])).toEqual([
    ['Front', ['a', 'c']],
    ['Rear', ['b']],
    [null, ['ours']],
  ])
  expect(inFamilies([])).toEqual([])
})
