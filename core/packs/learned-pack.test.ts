import { describe, expect, it } from 'vitest'
import { operation, smallPack } from '../../tests/support/small-pack'
import { learnMinutes } from '../sequence/learn-minutes'
import { expandPack } from './expand-pack'
import { packMinutes, withLearnedMinutes } from './learned-pack'

const pack = smallPack({
  items: [
    { id: 'cover', name: 'Cover', state: 'off' },
    { id: 'box', name: 'Box', state: 'off' },
  ],
  operations: [
    operation('cover-off', {
      minutes: [2, 4, 8],
      takesOff: { cover: 1 },
      refit: { kind: 'mirror', override: { title: 'Cover on' } },
    }),
    operation('box-out', {
      minutes: [10, 20, 40],
      takesOff: { box: 1 },
      refit: { kind: 'mirror', override: { title: 'Box in', minutes: [15, 30, 60] } },
    }),
  ],
})
const seen = (id: string, minutes: number) =>
  [id, learnMinutes(packMinutes(pack).get(id)!, [{ minutes }, { minutes }])] as const
const of = (own: typeof pack, id: string) => expandPack(own).operations.find(entry => entry.id === id)!

describe('withLearnedMinutes', () => {
  it('gives strip and refit each its own, in the plan as in the pack', () => {
    const own = withLearnedMinutes(pack, new Map([seen('cover-off', 9), seen('box-out.refit', 50)]))
    expect(of(own, 'cover-off').minutes[1]).toBeGreaterThan(4)
    expect(of(own, 'cover-off').learned).toEqual({ from: [2, 4, 8], times: 2 })
    expect(of(own, 'box-out.refit').minutes[1]).toBeGreaterThan(30)
    expect(of(own, 'box-out.refit').learned).toEqual({ from: [15, 30, 60], times: 2 })
  })
  it('does not teach a refit what was seen of its strip', () => {
    const own = withLearnedMinutes(pack, new Map([seen('cover-off', 9)]))
    expect(of(own, 'cover-off.refit').minutes).toEqual([2, 4, 8])
    expect(of(own, 'cover-off.refit').learned).toBeUndefined()
    expect(of(own, 'box-out').minutes).toEqual([10, 20, 40])
    expect(withLearnedMinutes(pack, new Map())).toBe(pack)
  })
})
