import { describe, expect, it } from 'vitest'
import { TestLog } from '../../../../tests/support/job-log'
import { link, operation, smallPack } from '../../../../tests/support/small-pack'
import { operationOrder } from '../../../sequence/move-step'
import { admit, comesApart, partCounts, stepTitle } from '../..'
import type { EventPayloads } from '../..'

const mirrored = (title: string, more = {}) => ({ refit: { kind: 'mirror' as const, override: { title, ...more } } })
/** A cover over a wheel that eight bolts hold, something else that can be done meanwhile, and a drive at the end. */
const pack = () =>
  smallPack({
    items: [
      { id: 'cover', name: 'cover', state: 'off' },
      { id: 'wheel', name: 'wheel', state: 'off' },
      { id: 'wheel-bolts', name: 'wheel bolts', state: 'off', group: 'bolts' },
      { id: 'lamp', name: 'lamp', state: 'off' },
    ],
    groups: [{ id: 'bolts', name: 'wheel bolts', count: 8, part: 'vehicle' }],
    parts: [{ id: 'new-bolts', name: 'wheel bolts, new' }],
    operations: [
      operation('cover-off', { takesOff: { cover: 1 }, ...mirrored('Cover on') }),
      operation('wheel-off', {
        takesOff: { wheel: 1, 'wheel-bolts': 8 },
        ...mirrored('Wheel on', { parts: { 'new-bolts': 8 } }),
      }),
      operation('lamp-off', { takesOff: { lamp: 1 }, ...mirrored('Lamp on') }),
      operation('drive', { phase: 'prove' }),
    ],
    links: [
      link('cover-off', 'wheel-off'),
      link('cover-off.refit', 'drive', { mirror: false }),
      link('lamp-off.refit', 'drive', { mirror: false }),
    ],
  })
const strip = () => TestLog.open(pack()).done('cover-off', 'wheel-off', 'lamp-off')
const apart = (log: TestLog, change: Partial<EventPayloads['apart-again']> = {}): EventPayloads['apart-again'] => ({
  againId: 'a1',
  stepId: 'wheel-off.refit',
  because: 'A bolt sheared',
  troubleId: null,
  ...comesApart(log.state, 'wheel-off.refit'),
  away: null,
  parts: [],
  at: '2026-03-02T09:00:00.000Z',
  utcOffsetMinutes: 0,
  ...change,
})
const left = (log: TestLog) => operationOrder(log.state.plan!).filter(id => !log.state.done[id])

describe('what comes apart once more', () => {
  it('is what was put back over it, and what was proved since', () => {
    const log = strip().done('wheel-off.refit', 'cover-off.refit', 'lamp-off.refit', 'drive')
    expect(comesApart(log.state, 'wheel-off.refit')).toEqual({
      opens: ['cover-off', 'wheel-off'],
      repeats: ['wheel-off.refit', 'cover-off.refit', 'drive'],
    })
    expect(comesApart(log.state, 'lamp-off.refit')).toEqual({
      opens: ['lamp-off'],
      repeats: ['lamp-off.refit', 'drive'],
    })
  })
  it('is nothing where the way is open', () => {
    expect(comesApart(strip().state, 'wheel-off.refit')).toEqual({ opens: [], repeats: [] })
  })
  it('is what gave back a state that ends when it is opened', () => {
    const oil = smallPack({
      items: [{ id: 'plug', name: 'plug', state: 'open' }],
      facts: [{ id: 'oil', name: 'oil', kind: 'safety', initially: true, because: 'It runs dry.' }],
      operations: [
        operation('drain', { takesOff: { plug: 1 }, ends: ['oil'], refit: { kind: 'by', operation: 'shut' } }),
        operation('shut', { putsBack: { plug: 1 } }),
        operation('look', { phase: 'bench' }),
        operation('fill', { phase: 'fill', gives: ['oil'] }),
        operation('run', { phase: 'prove', needs: ['oil'] }),
      ],
      links: [
        link('drain', 'look', { kind: 'physical', mirror: false }),
        link('shut', 'fill', { mirror: false }),
        link('fill', 'run', { kind: 'safety', mirror: false }),
      ],
    })
    const log = TestLog.open(oil).done('drain', 'shut', 'look', 'fill')
    expect(comesApart(log.state, 'look')).toEqual({ opens: ['drain', 'shut'], repeats: ['look', 'fill'] })
  })
  it('is what a run has brought in so far', () => {
    const log = strip().add('bolts-in', {
      group: 'bolts',
      boltIds: strip()
        .state.boards.bolts!.bolts.slice(0, 3)
        .map(({ id }) => id),
    })
    expect(comesApart(log.state, 'wheel-off.refit')).toEqual({ opens: ['wheel-off'], repeats: [] })
    log.add('apart-again', apart(log)).done('a1.wheel-off')
    expect(log.state.ledger).toEqual({ cover: 1, wheel: 1, lamp: 1, 'wheel-bolts': 8 })
    log.done('wheel-off.refit', 'cover-off.refit', 'lamp-off.refit', 'drive')
    expect(log.state.ledger).toEqual({})
  })
})

describe('apart again', () => {
  const closed = () => strip().done('wheel-off.refit', 'cover-off.refit')
  it('is work in the plan: off again, on again, in the order of the car, and nothing done is lost', () => {
    const log = closed()
    const { totals } = log.state.plan!
    const minutes = log.state.plan!.steps.map(step => step.minutes)
    log.add('apart-again', apart(log))
    expect(left(log)).toEqual([
      'a1.cover-off',
      'a1.wheel-off',
      'lamp-off.refit',
      'wheel-off.refit',
      'cover-off.refit',
      'drive',
    ])
    expect(log.state.done['a1.first.wheel-off.refit']!.eventId).toBe('e6')
    expect(log.state.plan!.totals.workMinutes - totals.workMinutes).toBeCloseTo(8)
    expect(minutes.length + 4).toBe(log.state.plan!.steps.length)
    expect(log.refusal('step-done', { stepId: 'cover-off.refit' })).toContain('First')
    expect(log.refusal('step-done', { stepId: 'wheel-off.refit' })).toContain('It has to come off')
    log.done('a1.cover-off', 'a1.wheel-off')
    expect(log.state.ledger).toEqual({ lamp: 1, cover: 1, wheel: 1, 'wheel-bolts': 8 })
    expect(log.state.replaced).toEqual({})
    expect(stepTitle(log.state.procedure!, log.state.plan!, 'a1.cover-off')).toBe('Once more: Do cover-off')
    log.done('lamp-off.refit', 'wheel-off.refit', 'cover-off.refit', 'drive')
    expect([log.state.ledger, left(log)]).toEqual([{}, []])
  })
  it('waits for what is worked on elsewhere, while other work goes on', () => {
    const log = closed()
    log.add(
      'apart-again',
      apart(log, {
        away: { to: 'machine shop', wayMinutes: 30, until: '2026-03-03T09:00:00.000Z' },
        parts: [{ partId: 'a1.bolts', name: 'bolts, new', count: 8, until: '2026-03-03T12:00:00.000Z' }],
      }),
    )
    expect(left(log)).toEqual([
      'a1.cover-off',
      'a1.wheel-off',
      'a1.away',
      'lamp-off.refit',
      'a1.fetch',
      'wheel-off.refit',
      'cover-off.refit',
      'drive',
    ])
    const at = (id: string) => log.state.plan!.steps.find(step => step.id === id)!
    const minuteOf = (iso: string) =>
      (Date.parse(iso) - Date.parse(log.state.clock!.at)) / 60_000 + log.state.clock!.minutes
    expect(at('a1.fetch').startMinutes).toBeCloseTo(minuteOf('2026-03-03T09:00:00.000Z'))
    expect(at('wheel-off.refit').startMinutes).toBeCloseTo(minuteOf('2026-03-03T12:00:00.000Z'))
  })
  it('is undone like everything', () => {
    const log = closed()
    const before = log.state
    log.add('apart-again', apart(log))
    log.add('undone', { eventId: log.events.at(-1)!.id })
    const { lastAt: _at, lastSeq: _seq, ...after } = log.state
    expect(before).toMatchObject(after)
  })
  it('can come twice', () => {
    const log = closed()
    log.add('apart-again', apart(log)).done('a1.cover-off', 'a1.wheel-off', 'wheel-off.refit', 'cover-off.refit')
    log.add('apart-again', apart(log, { againId: 'a2' })).done('a2.cover-off', 'a2.wheel-off')
    expect(log.state.ledger).toMatchObject({ cover: 1, wheel: 1, 'wheel-bolts': 8 })
    log.done('lamp-off.refit', 'wheel-off.refit', 'cover-off.refit', 'drive')
    expect([log.state.ledger, left(log)]).toEqual([{}, []])
  })
  it.each<[string, Partial<EventPayloads['apart-again']>, string, string]>([
    ['of a step that nobody knows', { stepId: 'nowhere' }, 'payload.stepId', 'no step'],
    ['of a strip step', { stepId: 'cover-off' }, 'payload.stepId', 'way back'],
    ['for a trouble that nobody knows', { troubleId: 'none' }, 'payload.troubleId', 'No such trouble'],
    ['with less than lies over it', { opens: ['wheel-off'] }, 'payload.opens', 'otherwise by now'],
    ['with less done again', { repeats: [] }, 'payload.repeats', 'otherwise by now'],
  ])('is refused %s', (_name, change, path, words) => {
    const log = closed()
    const refusal = admit(log.state, log.event('apart-again', apart(log, change)), log.events)!
    expect([refusal.path, refusal.reason]).toEqual([path, expect.stringContaining(words)])
  })
  it.each([
    ['new ones again', [{ partId: 'new-bolts', name: 'wheel bolts, new', count: 8, until: null }], 16],
    ['those that are in', [], 8],
  ])('uses %s, as it was told', (_name, parts, count) => {
    const log = closed()
    log.add('apart-again', apart(log, { parts }))
    expect(partCounts(log.state.procedure!)['new-bolts']).toBe(count)
  })
  it('is refused where nothing lies over it and it waits for nothing', () => {
    const log = strip()
    expect(log.refusal('apart-again', apart(log))).toContain('can be done as it is')
  })
})
