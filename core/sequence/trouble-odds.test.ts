import { describe, expect, it } from 'vitest'
import type { Ladder, LadderRung } from '../pack/ladders'
import { finishOdds } from './finish-odds'
import { troubleOdds } from './trouble-odds'

const rung = (more: Partial<LadderRung>): LadderRung => ({
  id: 'r',
  title: '',
  text: '',
  tools: [],
  parts: [],
  ...more,
})
const ladder = (more: Partial<Ladder>): Ladder => ({
  id: 'bolt',
  title: '',
  when: [],
  steps: [],
  everywhere: true,
  cautions: [],
  rungs: [rung({ minutes: 4 }), rung({ minutes: 8 }), rung({ minutes: 20, parts: ['bolt'] })],
  ...more,
})

describe('what may go wrong', () => {
  it('takes as long as the rungs that are climbed, each helping half of those that come to it', () => {
    const [odds] = troubleOdds([ladder({ perJob: 0.4 })], 10, ['a', 'b', 'c', 'd', 'e'])
    expect(odds).toMatchObject({ perJob: 0.2, minutes: 4 + 8 / 2 + 20 / 4, partTomorrow: 0.125 })
    expect(odds).not.toHaveProperty('at')
  })
  it('stands at its step while that is left, and is over with it', () => {
    const home = ladder({ perJob: 0.1, everywhere: false, steps: ['b'], rungs: [rung({ waits: true })] })
    expect(troubleOdds([home], 3, ['a', 'b'])).toMatchObject([{ perJob: 0.1, at: 1, minutes: 10, partTomorrow: 1 }])
    expect(troubleOdds([home], 3, ['c'])).toEqual([])
  })
  it('comes as often as the garage has counted, and not at all where no ladder says how often', () => {
    expect(troubleOdds([ladder({ perJob: 0.4 })], 1, ['a'], 3)[0]!.perJob).toBeCloseTo(1.2, 9)
    expect(troubleOdds([ladder({})], 1, ['a'])).toEqual([])
  })
  it('moves the promise further than the middle', () => {
    const steps = Array.from({ length: 50 }, () => ({
      estimate: [5, 8, 15] as [number, number, number],
      setupMinutes: 1,
      notBefore: 0,
      waits: [],
    }))
    const left = steps.map((_, at) => `s${at}`)
    const rare = ladder({ perJob: 0.3, rungs: [rung({ minutes: 60 })] })
    const without = finishOdds({ steps, calendar: null })
    const withIt = finishOdds({ steps, calendar: null }, { troubles: troubleOdds([rare], 50, left) })
    const later = (share: number) => withIt.quantile(share) - without.quantile(share)
    expect(later(0.5)).toBeGreaterThan(2)
    expect(later(0.9)).toBeGreaterThan(later(0.5) * 1.5)
  })
})
