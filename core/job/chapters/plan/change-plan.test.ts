import { describe, expect, it } from 'vitest'
import { TestLog } from '../../../../tests/support/job-log'
import { link, operation, smallPack } from '../../../../tests/support/small-pack'
import { expandPack } from '../../../packs'
import { operationOrder, planJob } from '../../../sequence'
import { lastUndoable } from '../../job'
import { momentOf, noCircumstances, pastOf, planSetting, switchBarrier } from '../..'
import type { AddedStep, Circumstances } from '../..'

const bench = (id: string, change: Parameters<typeof operation>[1] = {}) =>
  operation(id, { phase: 'bench', minutes: [5, 10, 20], ...change })
const pack = () =>
  smallPack(
    {
      parts: [{ id: 'kit', name: 'Kit' }],
      operations: [
        bench('a'),
        bench('b', { parts: { kit: 1 } }),
        bench('c'),
        bench('d', { when: [{ way: ['long'] }] }),
      ],
      links: [link('a', 'c', { mirror: false, because: 'a hides c.' })],
    },
    {
      options: [
        {
          id: 'way',
          sentence: 'The way is …',
          choices: [
            { id: 'short', label: 'short' },
            { id: 'long', label: 'long' },
          ],
          default: 'short',
          school: false,
        },
      ],
    },
  )
const change = (order: string[], circumstances: Partial<Circumstances> = {}) => ({
  circumstances: { ...noCircumstances, ...circumstances },
  order,
  at: '2026-03-02T09:00:00.000Z',
  utcOffsetMinutes: 60,
  lowerBoundMinutes: 12,
  proven: false,
})

describe('a changed plan', () => {
  it('keeps what is done and takes the rest in the order given', () => {
    const log = TestLog.open(pack()).done('a')
    log.add('plan-changed', change(['c', 'b'], { pins: [{ stepId: 'c', after: null }] }))
    expect(log.state.plan!.order).toEqual(['a', 'c', 'b'])
    expect(log.state.plan!.lowerBoundMinutes).toBe(12)
    expect(log.state.circumstances.pins).toEqual([{ stepId: 'c', after: null }])
    expect(log.state.clock).toEqual({ at: '2026-03-02T09:00:00.000Z', utcOffsetMinutes: 60, minutes: 10 })
    expect(log.done('c').state.done).toHaveProperty('c')
  })
  it('keeps what is proven of it, and of no other plan', () => {
    const log = TestLog.open(pack())
    const { totals, lowerBoundMinutes } = log.state.plan!
    const order = operationOrder(log.state.plan!)
    const proof = { order, minutes: totals.minutes, lowerBoundMinutes: totals.minutes }
    log.add('plan-proven', { ...proof, order: [...order].reverse() })
    log.add('plan-proven', { ...proof, minutes: totals.minutes + 1, lowerBoundMinutes: totals.minutes + 1 })
    expect(log.state.plan!.lowerBoundMinutes).toBe(lowerBoundMinutes)
    log.add('plan-changed', { ...change(['b', 'a', 'c']), lowerBoundMinutes: 1 })
    const later = { ...proof, order: operationOrder(log.state.plan!), minutes: log.state.plan!.totals.minutes }
    log.add('plan-proven', { ...later, lowerBoundMinutes: later.minutes - 2 })
    expect(log.state.plan).toMatchObject({ lowerBoundMinutes: later.minutes - 2, proven: false })
    log.add('plan-proven', { ...later, lowerBoundMinutes: later.minutes })
    log.add('plan-proven', { ...later, lowerBoundMinutes: 3 })
    expect(log.state.plan).toMatchObject({ lowerBoundMinutes: later.minutes, proven: true })
    // Undo takes the order back, not what was proven of it.
    expect(lastUndoable(log.events)!.type).toBe('plan-changed')
    expect(log.refusal('plan-proven', { ...proof, order: ['z'] })).toBe('The plan of this job has no step "z".')
    expect(log.refusal('plan-proven', { ...proof, lowerBoundMinutes: proof.minutes + 5 })).toBe(
      'A plan is not shorter than the shortest there can be.',
    )
  })
  it('is refused with the sentence of the link it breaks, and with what it leaves out', () => {
    const log = TestLog.open(pack())
    expect(log.refusal('plan-changed', change(['c', 'a', 'b']))).toBe('a hides c.')
    expect(log.refusal('plan-changed', change(['a', 'c']))).toBe('The order leaves this step out.')
    expect(log.refusal('plan-changed', change(['a', 'b', 'c', 'z']))).toBe('The plan of this job has no step "z".')
  })
  it('is refused under circumstances that cannot be', () => {
    const log = TestLog.open(pack())
    expect(
      log.refusal(
        'plan-changed',
        change(['a', 'b', 'c'], { helper: { from: '2026-03-02T10:00:00.000Z', to: '2026-03-02T09:00:00.000Z' } }),
      ),
    ).toBe('The helper leaves before coming.')
    expect(
      log.refusal(
        'plan-changed',
        change(['a', 'b', 'c'], { arrivals: [{ partId: 'wing', at: '2026-03-02T10:00:00.000Z' }] }),
      ),
    ).toBe('This job uses no part "wing".')
    expect(
      log.refusal(
        'plan-changed',
        change(['a', 'b', 'c'], { hours: { fromMinute: 600, toMinute: 600, weekdays: [1] } }),
      ),
    ).toContain('no time to work')
  })
  it('is undone like any act', () => {
    const log = TestLog.open(pack())
    const before = log.state.plan!.order
    log.add('plan-changed', change([...before].reverse().sort((x, y) => Number(x === 'c') - Number(y === 'c'))))
    log.add('undone', { eventId: lastUndoable(log.events)!.id })
    expect(log.state.plan!.order).toEqual(before)
    expect(log.state.circumstances).toEqual(noCircumstances)
  })
  it('waits for a part that comes later, by the clock of the wall', () => {
    const log = TestLog.open(pack())
    log.add('plan-changed', change(['b', 'a', 'c'], { arrivals: [{ partId: 'kit', at: '2026-03-02T11:00:00.000Z' }] }))
    const step = log.state.plan!.steps.find(entry => entry.id === 'b')!
    expect(momentOf(log.state.clock!, step.startMinutes)).toBe('2026-03-02T11:00:00.000Z')
  })
})

describe('another way of doing it', () => {
  const switched = (log: TestLog, options: Record<string, string>) => {
    const procedure = expandPack(pack(), options)
    const past = pastOf(log.state)
    const clock = { at: '2026-03-02T09:00:00.000Z', minutes: 0, utcOffsetMinutes: 0 }
    return { procedure, plan: planJob(procedure, {}, past ? { past } : {}), circumstances: noCircumstances, clock }
  }
  it('brings in other work and keeps what is done', () => {
    const log = TestLog.open(pack()).done('a')
    log.add('options-switched', switched(log, { way: 'long' }))
    expect(operationOrder(log.state.plan!)).toContain('d')
    expect(log.state.plan!.order[0]).toBe('a')
    expect(log.state.done).toHaveProperty('a')
    expect(log.state.procedure!.options).toEqual({ way: 'long' })
  })
  it('keeps what only this car has, done or not', () => {
    const log = TestLog.open(pack()).done('a')
    const found: Pick<AddedStep, 'phase' | 'place' | 'car' | 'tools' | 'cautions' | 'after'> = {
      phase: 'bench',
      place: 'bench',
      car: 'either',
      tools: [],
      cautions: [],
      after: [],
    }
    const at = { at: '2026-03-02T08:30:00.000Z', utcOffsetMinutes: 0 }
    const thing = { id: 'thing', name: 'thing', count: 1, state: 'off', isFastener: false } as const
    const refit = { title: 'Thing back', minutes: 5 }
    log.add('step-added', {
      ...found,
      ...at,
      stepId: 'own',
      title: 'Thing off',
      minutes: 10,
      takesOff: [thing],
      before: ['b'],
      refit,
    })
    log.done('own')
    log.add('options-switched', switched(log, { way: 'long' }))
    const order = operationOrder(log.state.plan!)
    expect(order.slice(0, 2)).toEqual(['a', 'own'])
    expect(order.indexOf('own.refit')).toBeGreaterThan(order.indexOf('b'))
    expect(order).toContain('d')
    for (const id of log.state.plan!.order) if (!log.state.done[id]) log.done(id)
    expect(log.state.ledger).toEqual({})
  })
  it('is refused when something done has no place in it', () => {
    const log = TestLog.open(pack(), { way: 'long' }).done('d')
    expect(log.refusal('options-switched', switched(log, { way: 'short' }))).toBe(
      'This is done already and the other way has no place for it: Do d',
    )
  })
})

it('does not change the supports under a raised car', () => {
  const two = smallPack(
    {
      operations: [bench('a', { place: 'under', car: 'raised' }), bench('b', { place: 'under', car: 'raised' })],
      links: [link('a', 'b', { mirror: false })],
      items: [{ id: 'arms', name: 'Arms', state: 'propped' }],
    },
    {
      options: [
        {
          id: 'lift',
          sentence: 'Up on …',
          choices: [
            { id: 'stands', label: 'stands' },
            { id: 'lift', label: 'a lift' },
          ],
          default: 'stands',
          school: false,
        },
      ],
    },
  )
  two.positions[0]!.when = [{ lift: ['stands'] }]
  two.positions.push({ ...two.positions[0]!, takesOff: { arms: 4 }, when: [{ lift: ['lift'] }] })
  const log = TestLog.open(two).done('raise-1')
  const stand = { procedure: log.state.procedure!, done: ['raise-1'], car: log.state.car }
  expect(switchBarrier(stand, expandPack(two, { lift: 'lift' }))).toBe(
    'The car stands on other supports. Bring it down first.',
  )
  expect(switchBarrier({ ...stand, car: 'ground' }, expandPack(two, { lift: 'lift' }))).toBeNull()
})

it('reads a log that bleeds nothing and carries no ways of bleeding', () => {
  const log = TestLog.open(pack())
  const made = log.events.find(event => event.type === 'plan-made')!
  const { procedure, plan } = JSON.parse(JSON.stringify(made.payload)) as {
    procedure: Record<string, unknown>
    plan: object
  }
  delete procedure.bleeding
  Object.assign(made, { payload: { procedure, plan } })
  expect(log.state.procedure!.bleeding).toEqual([])
  expect(log.refusal('plan-changed', change([...log.state.plan!.order]))).toBeNull()
})

describe('pastOf', () => {
  it('lays what is done end to end, in the order it was done', () => {
    const log = TestLog.open(pack()).done('b', 'a')
    expect(
      pastOf(log.state)!.steps.map(({ id, startMinutes, finishMinutes }) => [id, startMinutes, finishMinutes]),
    ).toEqual([
      ['b', 0, 10],
      ['a', 10, 20],
    ])
    expect(pastOf(TestLog.open(pack()).state)).toBeNull()
  })
})

describe('planSetting', () => {
  it('lays the wall clock on the axis of the plan', () => {
    const setting = planSetting(
      {
        helper: { from: '2026-03-02T11:00:00.000Z', to: '2026-03-02T12:30:00.000Z' },
        hours: null,
        arrivals: [{ partId: 'kit', at: '2026-03-03T09:00:00.000Z' }],
        pins: [],
      },
      1,
      { at: '2026-03-02T10:00:00.000Z', minutes: 30, utcOffsetMinutes: 120 },
    )
    expect(setting).toMatchObject({
      helper: false,
      helperWindow: { fromMinutes: 90, toMinutes: 180 },
      arrivals: [{ partId: 'kit', atMinutes: 30 + 23 * 60 }],
      // 10:00 UTC is 12:00 there, half an hour into the plan; 2 March 2026 was a Monday.
      startMinuteOfDay: 11 * 60 + 30,
      startWeekday: 1,
    })
    expect(
      planSetting({ ...noCircumstances, helper: null }, 2, {
        at: '2026-03-02T10:00:00.000Z',
        minutes: 0,
        utcOffsetMinutes: 0,
      }),
    ).toMatchObject({ helper: true, helperWindow: null })
  })
})
