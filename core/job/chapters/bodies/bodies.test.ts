import { describe, expect, it } from 'vitest'
import { operation, smallPack } from '../../../../tests/support/small-pack'
import { TestLog } from '../../../../tests/support/job-log'
import { bodyMissing, pieceStand, plugStand } from '../../views/bodies'
import { looseMatches, springVerdicts } from '../../views/springs'
import { activityComplete } from '../../views/activity'
import { blockersOf } from '../../views/blockers'
import type { Body } from '../../../pack/bodies'

const spring = (id: string, wireMm: number, freeLengthMm: number) => ({
  id,
  name: 'spring',
  kind: 'spring' as const,
  spring: { wireMm, coilDiameterMm: 10, activeCoils: 8, freeLengthMm },
})
const body: Body = {
  id: 'body',
  name: 'Body',
  outline: 'o',
  groups: [],
  opens: 'down',
  closes: 'up',
  steps: [],
  pockets: [
    {
      id: 'one',
      name: 'One',
      x: -10,
      y: 0,
      radiusMm: 5,
      bag: 'bag 1',
      pieces: [spring('s1', 1, 30), { id: 'b1', name: 'ball', kind: 'ball' }],
    },
    { id: 'two', name: 'Two', x: 10, y: 0, radiusMm: 5, bag: 'bag 2', pieces: [spring('s2', 1.4, 40)] },
  ],
  plugs: [
    { id: 'p1', name: 'First', x: 0, y: 10, lock: 'tab', wires: 'red' },
    { id: 'p2', name: 'Second', x: 0, y: -10, lock: 'false-tab', wires: 'blue' },
  ],
}
const steps = [
  operation('unplug', { phase: 'strip', activity: { kind: 'body', body: 'body', wants: 'plugs-off' } }),
  operation('down', { phase: 'strip' }),
  operation('fill', { phase: 'bench', activity: { kind: 'body', body: 'body', wants: 'pieces-in' } }),
  operation('up', { phase: 'refit' }),
  operation('tug', { phase: 'refit', activity: { kind: 'body', body: 'body', wants: 'plugs-on' } }),
  operation('pan', { phase: 'refit' }),
]
const chain = steps.slice(1).map((step, index) => ({
  before: steps[index]!.id,
  after: step.id,
  kind: 'physical' as const,
  because: 'In this order.',
  when: [],
  mirror: false,
}))
const opened = () => TestLog.open(smallPack({ operations: steps, links: chain, bodies: [body] }))
const step = (log: TestLog, id: string) => log.state.procedure!.operations.find(entry => entry.id === id)!
const all = { bodyId: 'body', pieceIds: ['s1', 'b1', 's2'] }
const plugs = { bodyId: 'body', plugIds: ['p1', 'p2'] }

describe('a body with loose pieces in it', () => {
  it('is as it came until somebody says otherwise', () => {
    const { state } = opened()
    expect([pieceStand(state, 'body', 's1'), plugStand(state, 'body', 'p1')]).toEqual(['in', 'on'])
  })
  it('holds the step that wants its plugs off until the last one is, and names it by its wires', () => {
    const log = opened().add('plugs-stand', { bodyId: 'body', plugIds: ['p1'], stand: 'off' })
    expect(bodyMissing(log.state, 'body', 'plugs-off')).toContain('Second (blue)')
    expect(log.refusal('step-done', { stepId: 'unplug' })).toContain('1 of 2 plugs')
    log.add('plugs-stand', { ...plugs, stand: 'off' })
    expect(activityComplete(log.state, step(log, 'unplug'))).toBe(true)
  })
  it('wants its plugs off while it comes apart, and lets them go on again on the way back', () => {
    const log = opened()
      .add('plugs-stand', { ...plugs, stand: 'off' })
      .done('unplug')
      .add('plugs-stand', { bodyId: 'body', plugIds: ['p1'], stand: 'on' })
    expect(blockersOf(log.state, 'down').map(blocker => blocker.stepId)).toEqual(['unplug'])
    log.state.procedure!.links.push({ ...log.state.procedure!.links[0]!, before: 'unplug', after: 'pan' })
    expect(blockersOf(log.state, 'pan').map(blocker => blocker.stepId)).not.toContain('unplug')
  })
  it('loses no piece before it is down, nor once it is up', () => {
    const log = opened()
    expect(log.refusal('pieces-stand', { ...all, stand: 'out' })).toContain('not been lowered')
    log.add('plugs-stand', { ...plugs, stand: 'off' }).done('unplug', 'down')
    expect(log.refusal('pieces-stand', { ...all, stand: 'out' })).toBeNull()
    log.add('pieces-stand', { ...all, stand: 'confirmed' }).done('fill', 'up')
    expect(log.refusal('pieces-stand', { ...all, stand: 'out' })).toContain('up again')
  })
  it('goes up only with every piece in and looked at, nothing lying loose', () => {
    const log = opened()
      .add('plugs-stand', { ...plugs, stand: 'off' })
      .done('unplug', 'down')
    log.add('pieces-stand', { ...all, stand: 'out' })
    expect(bodyMissing(log.state, 'body', 'pieces-in')).toBe('3 of 3 pieces are out: One: spring, ball; Two: spring.')
    log.add('pieces-stand', { ...all, stand: 'in' })
    expect(bodyMissing(log.state, 'body', 'pieces-in')).toContain('not been looked at')
    log.add('pieces-stand', { ...all, stand: 'confirmed' })
    log.add('piece-found', { bodyId: 'body', looseId: 'x', what: 'A ball', measures: {} })
    expect(bodyMissing(log.state, 'body', 'pieces-in')).toContain('A ball')
    log.add('piece-placed', { bodyId: 'body', looseId: 'x', pieceId: null })
    expect(bodyMissing(log.state, 'body', 'pieces-in')).toBeNull()
    // What was said yes to and is not so any more holds what comes next.
    log.done('fill').add('pieces-stand', { bodyId: 'body', pieceIds: ['b1'], stand: 'out' })
    expect(blockersOf(log.state, 'up').map(blocker => blocker.stepId)).toEqual(['fill'])
  })
  it('keeps the pan down while a plug has not been tugged at', () => {
    const log = opened()
      .add('plugs-stand', { ...plugs, stand: 'off' })
      .done('unplug', 'down')
    log.add('pieces-stand', { ...all, stand: 'confirmed' }).done('fill', 'up')
    log.add('plugs-stand', { ...plugs, stand: 'on' })
    expect(log.refusal('step-done', { stepId: 'tug' })).toContain('2 of 2 plugs have not been tugged')
    expect(log.refusal('step-done', { stepId: 'pan' })).not.toBeNull()
    log.add('plugs-stand', { ...plugs, stand: 'tugged' }).done('tug')
    expect(log.refusal('step-done', { stepId: 'pan' })).toBeNull()
  })
  it('tells a spring by its measures: its own, or the one of another pocket', () => {
    const log = opened()
      .add('spring-measured', { bodyId: 'body', pieceId: 's1', of: 'old', measures: { wireMm: 1, freeLengthMm: 29.8 } })
      .add('spring-measured', {
        bodyId: 'body',
        pieceId: 's2',
        of: 'returned',
        measures: { wireMm: 1, freeLengthMm: 30 },
      })
    const found = springVerdicts(log.state, body)
    expect([found.s1!.old!.verdict, found.s2!.returned!.verdict, found.s2!.returned!.pocket]).toEqual([
      'same',
      'other-pocket',
      's1',
    ])
    expect(found.s2!.old).toBeUndefined()
    log.add('spring-measured', { bodyId: 'body', pieceId: 's2', of: 'returned', measures: {} })
    expect(springVerdicts(log.state, body).s2).toBeUndefined()
  })
  it('says where a loose spring belongs, and puts it in there', () => {
    const log = opened()
      .add('plugs-stand', { ...plugs, stand: 'off' })
      .done('unplug', 'down')
    log.add('pieces-stand', { ...all, stand: 'out' })
    log.add('piece-found', { bodyId: 'body', looseId: 'x', what: 'Spring', measures: { wireMm: 1.4 } })
    const [loose] = looseMatches(log.state, body)
    expect(loose!.match!.pocket).toBe('s2')
    log.add('piece-placed', { bodyId: 'body', looseId: 'x', pieceId: 's2' })
    expect([pieceStand(log.state, 'body', 's2'), looseMatches(log.state, body)]).toEqual(['in', []])
  })
  it.each([
    ['pieces-stand', { bodyId: 'none', pieceIds: ['s1'], stand: 'out' }, 'payload.bodyId'],
    ['pieces-stand', { bodyId: 'body', pieceIds: ['s1', 'nobody'], stand: 'out' }, 'payload.pieceIds[1]'],
    ['plugs-stand', { bodyId: 'body', plugIds: ['nobody'], stand: 'off' }, 'payload.plugIds[0]'],
    ['spring-measured', { bodyId: 'body', pieceId: 'b1', of: 'old', measures: { wireMm: 1 } }, 'payload.pieceId'],
    [
      'spring-measured',
      { bodyId: 'body', pieceId: 's1', of: 'old', measures: { wireMm: -1 } },
      'payload.measures.wireMm',
    ],
    ['piece-placed', { bodyId: 'body', looseId: 'nobody', pieceId: 's1' }, 'payload.looseId'],
  ] as const)('refuses a wrong %s', (type, payload, path) => {
    expect(opened().refusedAt(type, payload as never)).toBe(path)
  })
})
