import { describe, expect, it } from 'vitest'
import { TestLog } from '../../../tests/support/job-log'
import { coverAndPart, link, operation } from '../../../tests/support/small-pack'
import { paidSoFar } from '../chapters/money'
import { openBeforeHandover } from './before-handover'
import { closing } from './closing'
import { findingsOf } from './findings-of'

const small = coverAndPart()
const down = {
  ...small.modules[0]!,
  operations: [...small.modules[0]!.operations, operation('drive', { phase: 'prove', place: 'cab', car: 'ground' })],
  links: [...small.modules[0]!.links, link('cover-off.refit', 'drive', { mirror: false })],
}
const pack = () => ({
  ...small,
  modules: [down],
  closing: [
    { id: 'ledger', kind: 'ledger' as const, title: 'Nothing off', because: 'On the shelf.', steps: [] },
    { id: 'troubles', kind: 'troubles' as const, title: 'No trouble', because: 'Put right.', steps: [] },
    { id: 'looked', kind: 'steps' as const, title: 'Looked', because: 'Look first.', steps: ['look'] },
    { id: 'elsewhere', kind: 'steps' as const, title: 'Elsewhere', because: 'Another car.', steps: ['nowhere'] },
    {
      id: 'lamps',
      kind: 'hand' as const,
      title: 'No lamp',
      because: 'A plug.',
      good: 'all out',
      bad: 'one stays',
      steps: [],
    },
  ],
  roadTest: [{ id: 'hill', title: 'Hill', say: 'Pull away' }],
})
const open = () => TestLog.open(pack())
const statuses = (log: TestLog) => Object.fromEntries(closing(log.state).map(line => [line.id, line.status]))

describe('a memory that should be empty', () => {
  const reading = operation('read-after', { phase: 'prove', place: 'cab', car: 'ground', activity: { kind: 'read' } })
  const remembers = () =>
    TestLog.open({
      ...pack(),
      modules: [
        {
          ...down,
          operations: [...down.operations, reading],
          links: [...down.links, link('drive', 'read-after', { mirror: false })],
        },
      ],
      closing: [
        { id: 'memory', kind: 'codes' as const, title: 'Empty', because: 'It is real.', steps: ['read-after'] },
      ],
    })
  const read = (codes: { code: string; text: string }[]) => {
    const log = remembers()
    log.done(...log.state.plan!.order.filter(id => id !== 'read-after'))
    return log.add('codes-read', { stepId: 'read-after', codes }).done('read-after')
  }
  const holding = (log: TestLog) => openBeforeHandover(log.state).map(({ entry }) => entry)

  it('is open until it was read, and done when nothing was stored', () => {
    expect(statuses(remembers())).toEqual({ memory: 'open' })
    const log = read([])
    expect(statuses(log)).toEqual({ memory: 'done' })
    expect(holding(log)).not.toContain('check:memory')
  })
  it('holds the car for each code that came back', () => {
    const log = read([{ code: 'A21', text: 'Supply too low' }])
    expect(closing(log.state)[0]).toMatchObject({
      status: 'open',
      missing: [{ title: 'A21 Supply too low', stepId: 'read-after' }],
    })
    expect(holding(log)).toContain('check:memory')
    log.add('left-open', { entry: 'check:memory', reason: 'Was there before, its owner knows' })
    expect(statuses(log)).toEqual({ memory: 'left' })
  })
})

describe('closing', () => {
  it('follows from the log, leaves out what this job has not, and says which step closes what', () => {
    const log = open().done(...open().state.plan!.order.slice(0, 1))
    expect(statuses(log)).toEqual({ ledger: 'open', troubles: 'done', looked: 'open', lamps: 'open' })
    expect(closing(log.state)[0]!.missing).toEqual([{ title: 'Cover', stepId: 'cover-off.refit' }])
    expect(closing(log.state)[2]!.missing).toEqual([{ title: 'Do look', stepId: 'look' }])
  })
  it('is done when all is done and every check by hand is good', () => {
    const log = open().all().add('check-made', { checkId: 'lamps', good: false, note: 'airbag' })
    expect(statuses(log)).toEqual({ ledger: 'done', troubles: 'done', looked: 'done', lamps: 'bad' })
    expect(openBeforeHandover(log.state).map(entry => entry.entry)).toEqual(['check:lamps'])
    expect(log.refusal('handed-over', { to: 'Somebody', odometerKm: null })).toContain('No lamp')
    expect(
      log
        .add('check-made', { checkId: 'lamps', good: true, note: '' })
        .refusal('handed-over', { to: 'Somebody', odometerKm: null }),
    ).toBeNull()
  })
  it('can be left with a reason, and is ticked by nobody where it follows from the log', () => {
    const log = open().all().add('left-open', { entry: 'check:lamps', reason: 'It was on when the car came' })
    expect(log.refusal('handed-over', { to: 'Somebody', odometerKm: null })).toBeNull()
    expect(log.refusal('check-made', { checkId: 'ledger', good: true, note: '' })).toContain('follows from the log')
    expect(log.refusal('check-made', { checkId: 'keel', good: true, note: '' })).toContain('no closing check "keel"')
  })
})

describe('road test', () => {
  it('keeps what each task showed, and wants words for what is not right', () => {
    const log = open()
    expect(log.refusal('road-noted', { taskId: 'sea', good: true, text: '' })).toContain('no task "sea"')
    expect(log.refusal('road-noted', { taskId: 'hill', good: false, text: ' ' })).toContain('Say what')
    expect(log.refusal('road-noted', { taskId: 'hill', good: true, text: '', gear: '9' })).toContain('no gear "9"')
    expect(
      log.add('road-noted', { taskId: 'hill', good: false, text: 'Hum', speedKmh: 80, gear: '2' }).state.road.hill,
    ).toMatchObject({ good: false, speedKmh: 80 })
  })
})

describe('what is known of a complaint', () => {
  const table = {
    id: 'pedal',
    pump: 'pumped',
    tests: [
      { id: 'slips', outcomes: [{ id: 'yes' }, { id: 'no' }] },
      { id: 'pumped', outcomes: [{ id: 'rises' }, { id: 'no-change' }] },
      { id: 'smell', outcomes: [{ id: 'burnt' }] },
    ],
  }
  it('is symptoms, pumped pedal and findings together, the findings first', () => {
    const log = open()
    expect(findingsOf(log.state, table)).toEqual({ slips: 'yes', pumped: 'no-change' })
    log
      .add('finding-noted', { tableId: 'pedal', testId: 'smell', outcome: 'burnt' })
      .add('finding-noted', { tableId: 'pedal', testId: 'slips', outcome: 'no' })
      .add('finding-noted', { tableId: 'other', testId: 'smell', outcome: 'burnt' })
    expect(findingsOf(log.state, table)).toEqual({ slips: 'no', pumped: 'no-change', smell: 'burnt' })
    log.add('finding-noted', { tableId: 'pedal', testId: 'smell', outcome: null })
    expect(findingsOf(log.state, table)).not.toHaveProperty('smell')
    expect(log.refusal('finding-noted', { tableId: 'pedal', testId: 'smell', outcome: null })).toContain(
      'Nothing was noted',
    )
  })
  it('adds up what was paid', () => {
    const log = open().add('paid', { amount: 100, how: 'cash' }).add('paid', { amount: -20, how: 'given back' })
    expect(paidSoFar(log.state)).toBe(80)
    expect(log.state.payments[0]).toMatchObject({ how: 'cash', personId: 'p' })
  })
  it('keeps the cause that was found', () => {
    expect(
      open().add('cause-found', {
        tableId: 'pedal',
        causeId: 'worn',
        title: 'Worn disc',
        text: 'Rivets level',
        findings: { slips: 'yes' },
      }).state.causeFound,
    ).toMatchObject({ causeId: 'worn', personId: 'p' })
  })
})
