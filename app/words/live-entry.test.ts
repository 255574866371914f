import { expect, it } from 'vitest'
import type { SheetField } from '../../core/packs'
import { liveValues } from './live-entry'

const field = (id: string, unit: 'mm' | '°C', live: SheetField['live']): SheetField => ({
  id,
  name: id,
  kind: 'number',
  unit,
  low: 0,
  high: 100,
  when: [],
  ...(live ? { live } : {}),
})
const told = [
  { id: 'travel', name: 'Slave', value: 13.52, unit: 'mm', low: 8, high: 24 },
  { id: 'fluid', name: 'Fluid', value: 104, unit: '°F' },
  { id: 'odd', name: 'Odd', value: 3, unit: 'furlong' },
]
it('puts what the reader tells into the fields that are the same thing, limits as well', () => {
  const values = liveValues(
    [
      field('now', 'mm', { value: 'travel' }),
      field('most', 'mm', { value: 'travel', of: 'high' }),
      field('measured', 'mm', undefined),
    ],
    told,
  )
  expect(values).toEqual({
    now: { kind: 'number', entry: { entered: '13.52 mm', value: 13.52 } },
    most: { kind: 'number', entry: { entered: '24 mm', value: 24 } },
  })
})
it('turns its unit into that of the field, and leaves out what it cannot read or was not told', () => {
  expect(liveValues([field('t', '°C', { value: 'fluid' })], told)).toMatchObject({ t: { entry: { value: 40 } } })
  expect(liveValues([field('x', 'mm', { value: 'odd' })], told)).toEqual({})
  expect(liveValues([field('x', 'mm', { value: 'fluid', of: 'low' })], told)).toEqual({})
  expect(liveValues([field('x', 'mm', { value: 'nowhere' })], told)).toEqual({})
})
