import { expect, it } from 'vitest'
import { pairsOfChoices } from './pairs-of-choices'
import type { PackOption } from '../pack/options'

const option = (id: string, ...choices: string[]) =>
  ({ id, default: choices[0]!, choices: choices.map(choice => ({ id: choice })) }) as PackOption
const options = [
  option('lift', 'stands', 'lift'),
  option('wheel', 'kept', 'new', 'machined'),
  option('seal', 'left', 'new'),
]

it('sets every two choices beside each other, in fewer rows than there are combinations', () => {
  const rows = pairsOfChoices({ options })
  for (const one of options)
    for (const other of options.filter(({ id }) => id > one.id))
      for (const x of one.choices)
        for (const y of other.choices)
          expect(rows.some(row => row[one.id] === x.id && row[other.id] === y.id)).toBe(true)
  expect(rows.length).toBeLessThan(12)
})
it('leaves what does not bear on it at its default', () => {
  expect(pairsOfChoices({ options }, new Set(['wheel']))).toEqual(
    ['kept', 'new', 'machined'].map(wheel => ({ lift: 'stands', wheel, seal: 'left' })),
  )
  expect(pairsOfChoices({ options }, new Set())).toEqual([{ lift: 'stands', wheel: 'kept', seal: 'left' }])
})
