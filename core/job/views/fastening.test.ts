import { describe, expect, it } from 'vitest'
import { TestLog } from '../../../tests/support/job-log'
import { link, operation, smallPack } from '../../../tests/support/small-pack'
import { openBeforeHandover } from './before-handover'
import { closing } from './closing'
import { groupStands } from './fastening'

const pack = smallPack(
  {
    items: [
      { id: 'lugs-slack', name: 'Lugs slack', state: 'slack', group: 'lugs', safety: true },
      { id: 'bracket-bolt', name: 'Bracket bolts', state: 'off', group: 'bracket' },
    ],
    groups: [
      { id: 'lugs', name: 'Lugs', count: 3, part: 'vehicle', safety: true },
      { id: 'bracket', name: 'Bracket bolts', count: 2, part: 'vehicle' },
    ],
    operations: [
      operation('crack', {
        phase: 'make-safe',
        takesOff: { 'lugs-slack': 3 },
        refit: { kind: 'by', operation: 'torque' },
      }),
      operation('bracket-off', {
        takesOff: { 'bracket-bolt': 2 },
        refit: { kind: 'mirror', override: { title: 'Bracket on', leaves: 'started' } },
      }),
      operation('bracket-set', { phase: 'refit', figure: 'bracket' }),
      operation('torque', { phase: 'prove', figure: 'lugs', putsBack: { 'lugs-slack': 3 } }),
    ],
    links: [
      link('crack', 'bracket-off', { mirror: false }),
      link('bracket-off.refit', 'bracket-set', { mirror: false }),
      link('bracket-set', 'torque', { mirror: false }),
    ],
  },
  {
    closing: [
      { id: 'bolts', kind: 'bolts', title: 'At their figure', because: 'Snug is not tight.', steps: [] },
      { id: 'figures', kind: 'figures', title: 'Figures', because: 'Somebody drives on them.', steps: [] },
    ],
  },
)
const open = () => TestLog.open(pack)
const lugs = { group: 'lugs', torqueNm: 110, sourceKind: 'vehicle-book', reference: 'Book, page 3' } as const
const counts = (log: TestLog, group: string) =>
  Object.fromEntries(
    Object.entries(groupStands(log.state).find(entry => entry.group.id === group)!.counts).filter(
      ([, count]) => count > 0,
    ),
  )
const lines = (log: TestLog) => Object.fromEntries(closing(log.state).map(line => [line.id, line.status]))

describe('how fasteners stand', () => {
  it('follows the steps: cracked, out, started, at figure or by feel', () => {
    const log = open().done('crack', 'bracket-off')
    expect([counts(log, 'lugs'), counts(log, 'bracket')]).toEqual([{ started: 3 }, { out: 2 }])
    log.done('bracket-off.refit')
    expect(counts(log, 'bracket')).toEqual({ started: 2 })
    expect(log.state.ledger).toEqual({ 'lugs-slack': 3 })
    expect(
      openBeforeHandover(log.state)
        .filter(entry => entry.kind === 'tight')
        .map(entry => [entry.name, entry.count, entry.safety]),
    ).toEqual([
      ['Lugs', 3, true],
      ['Bracket bolts', 2, false],
    ])
    expect(counts(log.done('bracket-set'), 'bracket')).toEqual({ feel: 2 })
  })
  it('sets no safety fastener without its figure, unless a person answers for it by name', () => {
    const log = open().done('crack', 'bracket-off', 'bracket-off.refit', 'bracket-set')
    expect(log.refusal('step-done', { stepId: 'torque' })).toContain('Lugs: no figure is named')
    expect(lines(log)).toEqual({ bolts: 'open', figures: 'open' })
    const excused = open()
      .done('crack', 'bracket-off', 'bracket-off.refit', 'bracket-set')
      .add('left-open', { entry: 'figure:lugs', reason: 'No book for this car; set as the tyre shop does' })
      .done('torque')
    expect(lines(excused)).toEqual({ bolts: 'done', figures: 'left' })
    expect(closing(excused.state)[1]!.left).toMatchObject([{ title: 'Lugs', personId: 'p' }])
    expect(counts(excused, 'lugs')).toEqual({ feel: 3 })
    log.add('figure-named', lugs).done('torque')
    expect(counts(log, 'lugs')).toEqual({ figure: 3 })
    expect(lines(log)).toEqual({ bolts: 'done', figures: 'done' })
  })
  it('lets no reason hand over a car with its lugs slack', () => {
    const log = open().done('crack')
    for (const { entry } of openBeforeHandover(log.state)) log.add('left-open', { entry, reason: 'He is in a hurry' })
    expect(log.refusal('handed-over', { to: 'Somebody', odometerKm: null })).toContain('not left with a reason')
  })
})
