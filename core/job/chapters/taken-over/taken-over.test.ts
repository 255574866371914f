import { describe, expect, it } from 'vitest'
import { TestLog } from '../../../../tests/support/job-log'
import { link, operation, smallPack } from '../../../../tests/support/small-pack'
import { openBeforeHandover, withWhatIsBefore } from '../..'
import type { ToldThing } from '../..'
import { operationOrder } from '../../../sequence/move-step'

const mirrored = (title: string) => ({ refit: { kind: 'mirror' as const, override: { title } } })
const AT = { at: '2026-03-02T09:00:00.000Z', utcOffsetMinutes: 0 }
/** A cover over a fork with its spring; current to be cut off first, a beam that holds, and a drive at the end. */
const pack = () =>
  smallPack({
    facts: [{ id: 'dead', name: 'No current', because: 'The starter is live.', kind: 'safety', initially: false }],
    items: [
      { id: 'clamp', name: 'battery clamp', state: 'unplugged' },
      { id: 'beam', name: 'engine beam', state: 'propped' },
      { id: 'cover', name: 'cover', state: 'off' },
      { id: 'fork', name: 'fork', state: 'off' },
      { id: 'spring', name: 'release spring', state: 'off' },
    ],
    operations: [
      operation('clamp-off', { gives: ['dead'], takesOff: { clamp: 1 }, ...mirrored('Clamp on') }),
      operation('beam-on', { takesOff: { beam: 1 }, ...mirrored('Beam off') }),
      operation('cover-off', { needs: ['dead'], takesOff: { cover: 1 }, ...mirrored('Cover on') }),
      operation('fork-out', { takesOff: { fork: 1, spring: 2 }, ...mirrored('Fork in') }),
      operation('drive', { phase: 'prove' }),
      operation('stroke', { phase: 'test' }),
    ],
    links: [
      link('stroke', 'cover-off', { mirror: false }),
      link('beam-on', 'fork-out', { kind: 'physical' }),
      link('cover-off', 'fork-out'),
      link('cover-off.refit', 'drive', { mirror: false }),
      link('clamp-off.refit', 'drive', { mirror: false }),
    ],
  })
const open = () => TestLog.open(pack())
const over = (log: TestLog, ...stepIds: string[]) =>
  log.add('steps-taken-over', { stepIds: withWhatIsBefore(log.state, stepIds), by: 'The owner', ...AT })
const tell = (...things: (Partial<ToldThing> & { itemId: string })[]) => ({
  things: things.map(thing => ({ missing: 0, unknown: 0, until: null, ...thing })),
  ...AT,
})
const left = (log: TestLog) => operationOrder(log.state.plan!).filter(id => !log.state.done[id])

describe('steps done by somebody else', () => {
  it('bring what must have come off before, but not what only keeps somebody safe or holds weight', () => {
    expect(withWhatIsBefore(open().state, ['fork-out'])).toEqual(['cover-off', 'fork-out'])
  })
  it('are done, at no minutes of ours; what they took off is off and unseen', () => {
    const log = open()
    const minutes = log.state.plan!.totals.workMinutes
    over(log, 'fork-out')
    expect(log.state.ledger).toEqual({ cover: 1, fork: 1, spring: 2 })
    expect(log.state.told.spring).toEqual({ missing: 0, unknown: 2, until: null })
    expect(left(log)).toEqual([
      'clamp-off',
      'beam-on',
      'fork-out.refit',
      'cover-off.refit',
      'beam-on.refit',
      'clamp-off.refit',
      'drive',
    ])
    expect(minutes - log.state.plan!.totals.workMinutes).toBeCloseTo(6)
    expect(log.state.leftOut).toMatchObject([{ stepId: 'stroke', reason: 'It came apart' }])
    expect(log.state.takenOver['fork-out']!.by).toBe('The owner')
  })
  it('are undone in one', () => {
    const log = open()
    const { plan, ledger } = log.state
    over(log, 'fork-out')
    log.add('undone', { eventId: log.events.at(-1)!.id })
    expect([log.state.plan, log.state.ledger, log.state.told, log.state.done]).toEqual([plan, ledger, {}, {}])
  })
  it.each([
    [['nowhere'], 'no step "nowhere"'],
    [['drive'], 'proved by whoever'],
    [['beam-on'], 'holds weight'],
    [['clamp-off'], 'The starter is live.'],
    [['fork-out'], 'First: Do cover-off.'],
    [['cover-off', 'cover-off'], 'done already'],
  ])('%j are refused', (stepIds, words) => {
    expect(open().refusal('steps-taken-over', { stepIds, by: 'The owner', ...AT })).toContain(words)
  })
})

describe('what came along with the car', () => {
  it('does not go back before somebody has seen it, and the car does not go before', () => {
    const log = over(open(), 'fork-out').done('clamp-off', 'beam-on')
    expect(log.refusal('step-done', { stepId: 'fork-out.refit' })).toContain('nobody has seen it')
    log.add('things-told', tell({ itemId: 'fork' }, { itemId: 'cover' }))
    expect(log.refusal('step-done', { stepId: 'fork-out.refit' })).toContain('release spring')
    log.add('left-open', { entry: 'item:spring', reason: 'Goes without' })
    const entry = openBeforeHandover(log.state).find(({ kind }) => kind === 'thing')!
    expect([entry.entry, entry.safety, entry.count]).toEqual(['thing:spring', true, 2])
    expect(log.refusal('handed-over', { to: 'Somebody', odometerKm: null })).not.toBeNull()
    log.add('things-told', tell({ itemId: 'spring' }))
    log.done('fork-out.refit')
    expect(log.state.ledger).toEqual({ cover: 1, beam: 1, clamp: 1 })
  })
  it('is a part to be got where it is missing, and holds up what puts it back', () => {
    const log = over(open(), 'fork-out').done('clamp-off', 'beam-on')
    log.add(
      'things-told',
      tell(
        { itemId: 'fork' },
        { itemId: 'cover' },
        { itemId: 'spring', missing: 1, until: '2026-03-04T10:00:00.000Z' },
      ),
    )
    expect(log.state.procedure!.parts).toMatchObject([{ id: 'missing.spring', name: 'release spring' }])
    expect(log.state.plan!.steps.find(({ id }) => id === 'fork-out.refit')!.waitMinutes).toBeGreaterThan(1000)
    expect(log.refusal('step-done', { stepId: 'fork-out.refit' })).toContain('missing')
    log.add('things-told', tell({ itemId: 'spring' }))
    expect(log.state.procedure!.parts).toEqual([])
    expect(log.refusal('step-done', { stepId: 'fork-out.refit' })).toBeNull()
  })
  it('does not matter where a new one goes in its place', () => {
    const log = over(open(), 'fork-out').done('clamp-off', 'beam-on')
    log.add('things-told', tell({ itemId: 'fork' }, { itemId: 'spring', missing: 1, unknown: 1 }))
    log.add('entry-replaced', { itemId: 'spring', by: 'New springs' })
    expect(openBeforeHandover(log.state).filter(({ entry }) => entry === 'thing:spring')).toEqual([])
    expect(log.refusal('step-done', { stepId: 'fork-out.refit' })).toBeNull()
  })
  it('is here once its order came', () => {
    const log = over(open(), 'fork-out').done('clamp-off', 'beam-on')
    log.add('things-told', tell({ itemId: 'fork' }, { itemId: 'cover' }, { itemId: 'spring', missing: 2 }))
    const order = {
      orderId: 'o',
      partId: 'missing.spring',
      name: 'spring',
      count: 2,
      priceEach: 3,
      supplier: 's',
      orderNo: null,
      arrivesAt: '2026-03-03T10:00:00.000Z',
    }
    log.add('part-ordered', order)
    expect(log.refusal('step-done', { stepId: 'fork-out.refit' })).toContain('missing')
    log.add('part-came', { orderId: 'o' })
    expect(log.refusal('step-done', { stepId: 'fork-out.refit' })).toBeNull()
  })
  it.each([
    [tell({ itemId: 'nowhere' }), 'no thing'],
    [tell({ itemId: 'spring', missing: 2, unknown: 1 }), 'no more can be missing'],
    [tell({ itemId: 'spring' }, { itemId: 'spring' }), 'twice'],
  ])('%j is refused', (payload, words) => {
    expect(over(open(), 'fork-out').refusal('things-told', payload)).toContain(words)
  })
})
