import { describe, expect, it } from 'vitest'
import { shippedWays } from '../core/hydraulics/shipped-ways'
import { bleedWay } from './bleeding-file'

const cup = {
  id: 'cup',
  title: 'Cup by cup',
  frees: 0.1,
  flowMlS: 2,
  counts: 'portions',
  one: 'one cup',
  many: 'cups',
  perRound: 3,
  restMinutes: 5,
  portionMl: 20,
  ready: ['Glasses on'],
  round: ['Draw one'],
  over: 'When it is clear.',
  wrong: 'Air past the thread.',
}
const faultOf = (change: object) => bleedWay.safeParse({ ...cup, ...change }).error?.issues[0]

describe('a way of bleeding in a pack', () => {
  it('reads with everything left out that is as usual', () => {
    expect(bleedWay.parse(cup)).toMatchObject({ strokeShare: 0, bleeder: false, calls: [] })
  })
  it('takes over the physics of the method it names, as files written before have it', () => {
    const before = { ...cup, frees: undefined, flowMlS: undefined, method: 'vacuum' }
    const vacuum = shippedWays.find(way => way.id === 'vacuum')!
    expect(bleedWay.parse(before)).toMatchObject({
      id: 'cup',
      frees: vacuum.frees,
      flowMlS: vacuum.flowMlS,
      wants: vacuum.wants,
      advice: vacuum.advice,
    })
    expect(bleedWay.parse(before)).not.toHaveProperty('method')
  })
  it.each([
    [{ portionMl: 0 }, 'portionMl'],
    [{ counts: 'strokes' }, 'portionMl'],
    [{ strokeShare: 0.5 }, 'strokeShare'],
    [{ flowMlS: undefined }, 'flowMlS'],
    [{ frees: 2 }, 'frees'],
    [{ advice: [{ when: {}, because: 'It is so.' }] }, 'advice.0.points'],
    [{ advice: [{ when: { weather: 'dry' }, points: 1, because: 'It is dry.' }] }, 'advice.0.when'],
    [{ perRound: 0 }, 'perRound'],
    [{ ready: [] }, 'ready'],
    [{ colour: 'red' }, ''],
    [{ calls: [{ say: 'Press', by: 'foot', seconds: 2, about: 'down' }] }, 'calls.0.by'],
  ])('%j is refused at %s', (change, path) => {
    expect(faultOf(change)!.path.join('.')).toBe(path)
  })
})
