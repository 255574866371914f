import { expect, it } from 'vitest'
import { bayOf } from '../../core/pack/bay'
import { expandPack } from '../../core/packs'
import { pairwise } from '../support/pairwise'
import { shelf } from '../support/packs'

it('a log of before has the places, stances and minutes that the bay of a car has', () => {
  expect(bayOf({})).toEqual(shelf.packs.get('rwd-longitudinal')!.bay)
})
it.each([...shelf.packs.values()])('$id: a way leads into each stance of its bay under every choice', pack => {
  for (const { options } of pairwise(pack)) {
    const { positions } = expandPack(pack, options)
    expect(Object.keys(positions).sort()).toEqual(
      bayOf(pack)
        .stances.map(({ id }) => id)
        .sort(),
    )
  }
})
