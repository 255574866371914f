import { describe, expect, it } from 'vitest'
import { bleedWay } from './bleeding-file'

const cup = { id: 'cup', title: 'Cup by cup', method: 'vacuum', counts: 'portions', one: 'one cup', many: 'cups', perRound: 3, restMinutes: 5, portionMl: 20, ready: ['Glasses on'], round: ['Draw one'], over: 'When it is clear.', wrong: 'Air past the thread.' }
const faultOf = (change: object) => bleedWay.safeParse({ ...cup, ...change }).error?.issues[0]

describe('a way of bleeding in a pack', () => {
  it('reads with everything left out that is as usual', () => {
    expect(bleedWay.parse(cup)).toMatchObject({ strokeShare: 0, bleeder: false, calls: [] })
  })
  it.each([
    [{ portionMl: 0 }, 'portionMl'], [{ counts: 'strokes' }, 'portionMl'], [{ strokeShare: 0.5 }, 'strokeShare'], [{ method: 'prayer' }, 'method'], [{ perRound: 0 }, 'perRound'],
    [{ ready: [] }, 'ready'], [{ colour: 'red' }, ''], [{ calls: [{ say: 'Press', by: 'foot', seconds: 2, about: 'down' }] }, 'calls.0.by'],
  ])('%j is refused at %s', (change, path) => {
    expect(faultOf(change)!.path.join('.')).toBe(path)
  })
})
