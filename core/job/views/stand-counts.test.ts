import { expect, it } from 'vitest'
import { TestLog } from '../../../tests/support/job-log'
import { operation, smallPack } from '../../../tests/support/small-pack'
import { returning } from './returning'
import { standCounts } from './stand-counts'
import { summarise } from './summary'

const pack = smallPack({
  items: [
    { id: 'cover', name: 'Cover', state: 'off' },
    { id: 'plug', name: 'Plug', state: 'unplugged' },
    { id: 'mount', name: 'Mount bolts', state: 'slack' },
  ],
  operations: [
    operation('cover-off', { takesOff: { cover: 1 }, refit: { kind: 'mirror', override: { title: 'Cover on' } } }),
    operation('loosen', { takesOff: { plug: 2, mount: 3 }, refit: { kind: 'mirror', override: { title: 'Set' } } }),
  ],
})

it('counts a piece as off where it is off, and not where it is loose, open or apart; the Yard and who comes back are told the same', () => {
  const { state } = TestLog.open(pack).done('cover-off', 'loosen')
  expect(standCounts(state)).toEqual({ off: 1, open: 0, unplugged: 2, slack: 3, propped: 0 })
  expect(summarise(state).offCount).toBe(1)
  expect(returning(state, '2026-03-02T10:00:00.000Z').offCount).toBe(1)
})
