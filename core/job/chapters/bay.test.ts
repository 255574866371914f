import { describe, expect, it } from 'vitest'
import { operation, smallPack } from '../../../tests/support/small-pack'
import { checkPack, expandPack } from '../../packs'
import type { Bay } from '../../packs'
import { planJob } from '../../sequence'
import { blockersOf, reduceJob, stepView, summarise } from '..'
import type { JobEvent } from '..'

/** A vehicle that is walked round otherwise, and parted instead of raised. */
const bay: Bay = {
  id: 'barge',
  glyph: 'car',
  places: [
    { id: 'bow', letter: 'B', name: 'Bow' },
    { id: 'between', letter: 'H', name: 'Between' },
  ],
  stances: [
    { id: 'joined', name: 'halves joined', said: 'It stands in one piece', because: 'This is done in one piece.' },
    { id: 'split', name: 'halves apart', said: 'It stands in two halves', because: 'This is done between the halves.' },
  ],
  setup: { walkMinutes: 4, toolMinutes: 0, washMinutes: 0 },
}
const base = smallPack({
  operations: [operation('a', { place: 'bow' }), operation('b', { place: 'between', car: 'split' })],
})
const pack = {
  ...base,
  bay,
  positions: base.positions.map(entry => ({ ...entry, to: entry.to === 'raised' ? 'split' : 'joined' })),
}
const reasons = (change: Partial<typeof pack>) =>
  checkPack({ ...pack, ...change }, {}).map(({ path, reason }) => `${path}: ${reason}`)

function jobOf(done: string[]) {
  const procedure = expandPack(pack)
  const plan = planJob(procedure)
  const events = [
    ['plan-made', { procedure, plan }],
    ...done.map(stepId => ['step-done', { stepId }] as const),
  ] as const
  return reduceJob(
    events.map(
      ([type, payload], index) =>
        ({
          id: String(index),
          jobId: 'j',
          seq: index + 1,
          deviceId: 'd',
          deviceTime: '2026-03-02T08:00:00.000Z',
          personId: 'p',
          type,
          payload,
        }) as JobEvent,
    ),
  )
}

describe('a bay of its own', () => {
  it('gives the plan its places, stances and minutes', () => {
    const plan = planJob(expandPack(pack))
    expect(plan.order).toEqual(['a', 'raise-1', 'b'])
    expect(plan.steps.map(({ car }) => car)).toEqual(['joined', 'split', 'split'])
    expect(plan.setting).toMatchObject({ walkMinutes: 4, start: { place: 'bow', car: 'joined' } })
    expect(plan.totals.setupMinutes).toBe(14)
  })
  it('is walked round step by step, and says what stands in the way in its own words', () => {
    const fresh = jobOf([])
    expect(fresh).toMatchObject({ car: 'joined', place: 'bow' })
    expect(stepView(fresh, 'b')).toMatchObject({ at: { name: 'Between' }, stance: { name: 'halves apart' } })
    expect(blockersOf(fresh, 'b')).toMatchObject([
      { title: 'It stands in one piece', because: 'This is done between the halves.' },
    ])
    const parted = jobOf(['a', 'raise-1'])
    expect(parted).toMatchObject({ car: 'split', ledger: { stands: 2 } })
    expect(blockersOf(parted, 'b')).toEqual([])
    expect(summarise(parted).bay).toEqual(bay)
  })
  it('is held to: a step, a fact, a reach or a way into a stance that it has not', () => {
    expect(reasons({})).toEqual([])
    const [only] = pack.modules as [(typeof pack.modules)[0]]
    expect(reasons({ modules: [{ ...only, operations: [operation('a', { place: 'moon' })] }] })).toEqual([
      'modules[only].operations[a].place: unknown place "moon"',
    ])
    expect(reasons({ modules: [{ ...only, operations: [operation('a', { place: 'bow', car: 'raised' })] }] })).toEqual([
      'modules[only].operations[a].car: unknown stance "raised"',
    ])
    expect(reasons({ reach: [{ place: 'top', car: 'split', when: [] }] })).toEqual(['reach[0]: unknown place "top"'])
    expect(reasons({ positions: base.positions })[0]).toBe('positions[0].to: unknown stance "raised"')
  })
})
