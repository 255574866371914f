import { expect, it } from 'vitest'
import type { Sheet } from '../pack/sheets'
import { drawable } from './drawable'

const fields = [
  { id: 'depth', name: 'Depth', kind: 'number', unit: 'mm', low: 0, high: 60 },
  { id: 'drops', name: 'Drops', kind: 'points', unit: 'mm', low: 0.5, high: 60, atLeast: 1 },
] as unknown as Sheet['fields']
const entry = (entered: string, value: number | null) => ({ entered, value })

it('draws what can be right, and leaves the places of the rest', () => {
  const drops = [entry('abc', null), entry('9999', 9999), entry('18', 18)]
  expect(
    drawable(
      { fields },
      { depth: { kind: 'number', entry: entry('600', 600) }, drops: { kind: 'points', entries: drops } },
    ),
  ).toEqual({ drops: { kind: 'points', entries: [drops[0], entry('9999', null), drops[2]] } })
})
it('leaves answers and good numbers as they are', () => {
  const values = {
    depth: { kind: 'number', entry: entry('19', 19) },
    dirt: { kind: 'choice', answer: 'none' },
  } as const
  expect(drawable({ fields }, values)).toEqual(values)
})
