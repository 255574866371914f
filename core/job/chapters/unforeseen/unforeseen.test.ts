import { describe, expect, it } from 'vitest'
import { TestLog } from '../../../../tests/support/job-log'
import { link, operation, smallPack } from '../../../../tests/support/small-pack'
import { expandPack } from '../../../packs/expand-pack'
import { operationOrder } from '../../../sequence/move-step'
import { planJob } from '../../../sequence/plan-job'
import { switchAsked } from '../../views/plan-asked'
import { admit, lastUndoable } from '../..'
import type { EventPayloads } from '../..'
import type { AddedStep } from './added-step'
import { putInOrder } from './put-in-order'

const mirrored = (title: string) => ({ refit: { kind: 'mirror' as const, override: { title } } })
/** A cover over a part, and a drive at the end. */
const pack = () =>
  smallPack({
    items: [
      { id: 'cover', name: 'cover', state: 'off' },
      { id: 'part', name: 'part', state: 'off' },
    ],
    operations: [
      operation('cover-off', { takesOff: { cover: 1 }, ...mirrored('Cover on') }),
      operation('part-off', { takesOff: { part: 1 }, ...mirrored('Part on') }),
      operation('drive', { phase: 'prove' }),
    ],
    links: [
      link('cover-off', 'part-off'),
      link('part-off.refit', 'drive', { mirror: false }),
      link('cover-off.refit', 'drive', { mirror: false }),
    ],
  })
const bracket: AddedStep = {
  stepId: 'own-1',
  title: 'Bracket off',
  phase: 'strip',
  place: 'top',
  car: 'either',
  minutes: 12,
  tools: [],
  cautions: [],
  takesOff: [
    { id: 'own-1-bracket', name: 'bracket', count: 1, state: 'off', isFastener: false },
    { id: 'own-1-bolts', name: 'bracket bolts', count: 3, state: 'off', isFastener: true },
  ],
  after: [],
  before: ['part-off'],
  refit: { title: 'Bracket on', minutes: 8 },
}
const adding = (change: Partial<AddedStep> = {}): EventPayloads['step-added'] => ({
  ...bracket,
  ...change,
  at: '2026-03-02T09:00:00.000Z',
  utcOffsetMinutes: 0,
})
const orderOf = (log: TestLog) => operationOrder(log.state.plan!)

describe('a step that the layout does not hold', () => {
  it('stays done when another way is chosen, which is planned without it', () => {
    const log = TestLog.open(pack()).done('cover-off').add('step-added', adding()).done('own-1')
    const procedure = expandPack(pack())
    const { circumstances, clock, setting, request } = switchAsked(log.state, procedure, log.state.circumstances, {
      at: '2026-03-02T10:00:00.000Z',
      utcOffsetMinutes: 0,
    })
    const plan = planJob(procedure, setting, request)
    expect(plan.order).not.toContain('own-1')
    log.add('options-switched', { procedure, plan, circumstances, clock })
    expect(orderOf(log).filter(id => !log.state.done[id])).toEqual([
      'part-off',
      'part-off.refit',
      'own-1.refit',
      'cover-off.refit',
      'drive',
    ])
    expect(log.state.plan!.steps.map(step => step.id)).toContain('own-1')
    expect(log.all().state.ledger).toEqual({})
  })
  it('stands directly before what it is in the way of, and goes back after what was behind it', () => {
    const log = TestLog.open(pack())
    const before = log.state.plan!.totals
    log.add('step-added', adding())
    expect(orderOf(log)).toEqual([
      'cover-off',
      'own-1',
      'part-off',
      'part-off.refit',
      'own-1.refit',
      'cover-off.refit',
      'drive',
    ])
    expect(log.state.plan!.totals.workMinutes - before.workMinutes).toBeCloseTo(20)
    expect(log.state.plan!.steps.find(step => step.id === 'own-1')!.minutes).toBe(12)
    log.done('cover-off')
    expect(admit(log.state, log.event('step-done', { stepId: 'part-off' }), log.events)!.reason).toBe(
      'First: Bracket off. It is in the way of that on this car.',
    )
  })
  it('is in the ledger and on a board of its own, until all of it is back', () => {
    const log = TestLog.open(pack())
    log.add('step-added', adding())
    log.done('cover-off', 'own-1')
    expect(log.state.ledger).toEqual({ cover: 1, 'own-1-bracket': 1, 'own-1-bolts': 3 })
    expect(log.state.boards['own-1-bolts']!.bolts.filter(bolt => bolt.stand === 'out')).toHaveLength(3)
    expect(admit(log.state, log.event('step-done', { stepId: 'drive' }), log.events)!.reason).toContain('Part')
    log.done('part-off', 'part-off.refit', 'own-1.refit', 'cover-off.refit', 'drive')
    expect(log.state.ledger).toEqual({})
  })
  it('is undone like everything, and the plan is as it was', () => {
    const log = TestLog.open(pack())
    const { procedure, plan } = log.state
    const event = log.add('step-added', adding()).events.at(-1)!
    expect(lastUndoable(log.events)).toBe(event)
    log.add('undone', { eventId: event.id })
    expect([log.state.procedure, log.state.plan, log.state.added]).toEqual([procedure, plan, []])
  })
  it('without a refit leaves nothing to go back, and what it frees is counted', () => {
    const log = TestLog.open(pack())
    log.add('step-added', adding({ refit: null, takesOff: [] }))
    expect(orderOf(log).filter(id => id.startsWith('own'))).toEqual(['own-1'])
  })
  it('stands first where nothing waits for it, and behind what it comes after', () => {
    const log = TestLog.open(pack())
    log.add('step-added', adding({ before: [] }))
    expect(orderOf(log)[0]).toBe('own-1')
    log.add('step-added', adding({ stepId: 'own-2', takesOff: [], before: [], after: ['part-off'], refit: null }))
    const order = orderOf(log)
    expect(order.indexOf('own-2')).toBe(order.indexOf('part-off') + 1)
  })
  it.each<[string, Partial<AddedStep>, string, string]>([
    ['of a name that is there', { stepId: 'cover-off' }, 'payload.stepId', 'such a step'],
    ['with a thing that is there', { takesOff: [{ ...bracket.takesOff[0]!, id: 'part' }] }, 'payload.takesOff', 'part'],
    [
      'with a thing told twice',
      { takesOff: [bracket.takesOff[0]!, bracket.takesOff[0]!] },
      'payload.takesOff',
      'own-1-bracket',
    ],
    ['before a step that nobody knows', { before: ['nowhere'] }, 'payload.before', 'nowhere'],
    ['with a tool that nobody knows', { tools: ['crane'] }, 'payload.tools', 'crane'],
    [
      'before and after the same',
      { before: ['cover-off'], after: ['part-off'] },
      'payload.before',
      'cannot come before',
    ],
    ['before what is done', { before: ['cover-off'] }, 'payload.before', 'done already'],
  ])('is refused %s', (_name, change, path, words) => {
    const log = TestLog.open(pack())
    log.add('step-done', { stepId: 'cover-off' })
    const wanted =
      change.before?.[0] === 'cover-off' && change.after
        ? { ...change, before: ['part-off'], after: ['part-off.refit'] }
        : change
    const refusal = admit(log.state, log.event('step-added', adding(wanted)), log.events)!
    expect([refusal.path, refusal.reason]).toEqual([path, expect.stringContaining(words)])
  })
})

describe('a step that this car has no use for', () => {
  const leaving = (stepId: string) => ({
    stepId,
    reason: 'This car has none',
    at: '2026-03-02T09:00:00.000Z',
    utcOffsetMinutes: 0,
  })
  it('leaves the plan with the step that undoes it, is told with its reason, and nothing waits for it', () => {
    const log = TestLog.open(pack())
    const before = log.state.plan!.totals.minutes
    log.add('step-left-out', leaving('cover-off'))
    expect(orderOf(log)).toEqual(['part-off', 'part-off.refit', 'drive'])
    expect(log.state.plan!.totals.minutes).toBeLessThan(before)
    expect(log.state.leftOut).toMatchObject([
      { stepId: 'cover-off', title: 'Do cover-off', reason: 'This car has none' },
    ])
    log.done('part-off', 'part-off.refit', 'drive')
    expect([log.state.ledger, log.state.everOff]).toEqual([{}, { part: 1 }])
  })
  it('is undone like everything', () => {
    const log = TestLog.open(pack())
    const { plan } = log.state
    log.add('step-left-out', leaving('cover-off'))
    log.add('undone', { eventId: log.events.at(-1)!.id })
    expect([log.state.plan, log.state.leftOut]).toEqual([plan, []])
  })
  it('takes what it would have brought about as given, and its bolts as not there', () => {
    const group = { id: 'bolts', name: 'bolts', count: 4, part: 'vehicle' as const }
    const log = TestLog.open(
      smallPack({
        facts: [{ id: 'open', name: 'It is open', because: 'It is closed.', kind: 'access', initially: false }],
        groups: [group],
        items: [{ id: 'bolts-off', name: 'bolts', state: 'off', group: 'bolts' }],
        operations: [
          operation('unbolt', { gives: ['open'], takesOff: { 'bolts-off': 3 }, ...mirrored('Bolt it') }),
          operation('look', { needs: ['open'] }),
        ],
      }),
    )
    expect(log.refusal('step-done', { stepId: 'look' })).toContain('First')
    log.add('step-left-out', leaving('unbolt'))
    expect(log.state.boards.bolts!.bolts).toHaveLength(1)
    expect(log.refusal('step-done', { stepId: 'look' })).toBeNull()
  })
  it('is refused where others are safe only after it, or where it holds something', () => {
    const log = TestLog.open(
      smallPack({
        facts: [{ id: 'dead', name: 'No current', because: 'The starter is live.', kind: 'safety', initially: false }],
        items: [{ id: 'beam', name: 'engine beam', state: 'propped' }],
        operations: [
          operation('clamp-off', { gives: ['dead'] }),
          operation('starter-off', { needs: ['dead'] }),
          operation('hold', { takesOff: { beam: 1 }, ...mirrored('Let go') }),
        ],
      }),
    )
    expect(log.refusal('step-left-out', leaving('clamp-off'))).toContain('The starter is live.')
    expect(log.refusal('step-left-out', leaving('hold'))).toContain('holds weight')
    expect(log.refusal('step-left-out', leaving('starter-off'))).toBeNull()
  })
  it.each([
    ['nowhere', 'no step'],
    ['part-off.refit', 'puts back'],
    ['drive', 'on the road'],
    ['cover-off', 'done already'],
  ])('is refused of %s', (stepId, words) => {
    const log = TestLog.open(pack()).done('cover-off')
    expect(log.refusal('step-left-out', leaving(stepId))).toContain(words)
  })
})

describe('a step in two goes', () => {
  const split = (change = {}): EventPayloads['step-split'] => ({
    stepId: 'part-off',
    firstId: 'own-3',
    first: { title: 'Crack the part loose', minutes: 4 },
    rest: { title: 'Lift the part out', minutes: 6 },
    at: '2026-03-02T09:00:00.000Z',
    utcOffsetMinutes: 0,
    ...change,
  })
  it('has its first part directly before the rest, which does to the car what the step did', () => {
    const log = TestLog.open(pack())
    const before = log.state.plan!.totals.workMinutes
    log.add('step-split', split())
    expect(orderOf(log)).toEqual(['cover-off', 'own-3', 'part-off', 'part-off.refit', 'cover-off.refit', 'drive'])
    expect(log.state.plan!.totals.workMinutes - before).toBeCloseTo(8)
    expect(log.refusal('step-done', { stepId: 'own-3' })).toContain('First')
    log.done('cover-off')
    expect(log.refusal('step-done', { stepId: 'part-off' })).toContain('first part')
    log.done('own-3')
    expect(log.state.ledger).toEqual({ cover: 1 })
    log.done('part-off')
    expect(log.state.ledger).toEqual({ cover: 1, part: 1 })
  })
  it('is undone like everything', () => {
    const log = TestLog.open(pack())
    const { plan, procedure } = log.state
    log.add('step-split', split())
    log.add('undone', { eventId: log.events.at(-1)!.id })
    expect([log.state.plan, log.state.procedure, log.state.split]).toEqual([plan, procedure, []])
  })
  it.each([
    [{ stepId: 'nowhere' }, 'no step'],
    [{ stepId: 'cover-off' }, 'done already'],
    [{ firstId: 'cover-off' }, 'such a step already'],
  ])('is refused: %j', (change, words) => {
    expect(TestLog.open(pack()).done('cover-off').refusal('step-split', split(change))).toContain(words)
  })
})

it('puts a step where nothing that follows at once is parted', () => {
  const at = (before: string, after: string) => ({
    before,
    after,
    kind: 'physical' as const,
    because: '',
    waitMinutes: 0,
  })
  const links = [{ ...at('a', 'b'), atOnce: true }, at('x', 'b')]
  expect(putInOrder(['a', 'b', 'c'], 'x', { links, pins: [], late: true })).toEqual(['x', 'a', 'b', 'c'])
  expect(putInOrder(['a', 'b', 'c'], 'x', { links: [], pins: [{ stepId: 'b', after: 'a' }], late: false })).toEqual([
    'x',
    'a',
    'b',
    'c',
  ])
  expect(() =>
    putInOrder(['a', 'b'], 'x', { links: [at('b', 'x'), { ...at('x', 'a'), because: 'why' }], pins: [], late: true }),
  ).toThrow()
})
