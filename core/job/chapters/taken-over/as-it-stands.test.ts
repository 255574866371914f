import { describe, expect, it } from 'vitest'
import { TestLog } from '../../../../tests/support/job-log'
import { shelf } from '../../../../tests/support/packs'
import { withWhatIsBefore } from '../..'
import { operationOrder } from '../../../sequence/move-step'
import { hangingNow } from '../../views/holding'
import { inOrderOf } from './held-first'

const AT = { at: '2026-03-02T09:00:00.000Z', utcOffsetMinutes: 0 }
/** A car that came with its box out, as acts tell it today, or as they did before. */
function arrivedApart(
  layout: string,
  choices: Record<string, string>,
  told: { asItStands?: true } = { asItStands: true },
): TestLog {
  const log = TestLog.open(shelf.packs.get(layout)!, choices)
  const stepIds = withWhatIsBefore(log.state, ['pull-box'])
  return log.add('steps-taken-over', { stepIds, by: 'The owner', ...AT, ...told })
}
const left = ({ state }: TestLog) => operationOrder(state.plan!).filter(id => !state.done[id])
const leftOut = ({ state }: TestLog) => state.leftOut.map(({ stepId }) => stepId)

describe('a car that came with its box out', () => {
  const rear = arrivedApart('rwd-longitudinal', { exhaust: 'off' })
  it('has its engine held before anything else, but for what that waits for', () => {
    expect(hangingNow(rear.state).map(({ loadId }) => loadId)).toEqual(['engine'])
    expect(left(rear).slice(0, left(rear).indexOf('hold-engine'))).toEqual(['shifter-hole-covered', 'battery-off'])
    const front = arrivedApart('fwd-transverse', {})
    expect(left(front).slice(0, 2)).toEqual(['battery-off', 'hold-engine'])
  })
  it('is brought up once before it is, and not let down', () => {
    const order = rear.state.plan!.order.filter(id => !rear.state.done[id])
    const moves = order.slice(0, order.indexOf('hold-engine')).filter(id => /^(raise|lower)/.test(id))
    expect(moves).toEqual([expect.stringMatching(/^raise/)])
  })
  it('says why, and lets nobody do something else first', () => {
    const because = rear.refusal('step-done', { stepId: 'wet-bell' })
    expect(because).toMatch(/^First: /)
    expect(rear.state.procedure!.links).toContainEqual(
      expect.objectContaining({
        before: 'hold-engine',
        after: 'wet-bell',
        because: expect.stringMatching(/^Engine hangs\. .* It is held before anything else is done\.$/),
      }),
    )
  })
  it('is not soaked, marked or measured for what is off', () => {
    for (const late of ['exhaust-soak', 'prop-marked', 'crossmember-marked', 'tilt-room-look'])
      expect(leftOut(rear), late).toContain(late)
    expect(left(rear).filter(id => leftOut(rear).includes(id))).toEqual([])
  })
  it('has its openings covered all the same', () => {
    expect(left(rear)).toContain('tail-plugged')
    expect(left(arrivedApart('fwd-transverse', {}))).toContain('diff-holes-plugged')
  })
  it('came with its shafts out', () => {
    expect(Object.keys(arrivedApart('fwd-transverse', {}).state.takenOver)).toContain('near-shaft-out')
  })
  it('goes on from there until nothing is off', () => {
    const log = new TestLog()
    log.events.push(...rear.events)
    log.done(...log.state.plan!.order.filter(id => !log.state.done[id]))
    expect(log.state.ledger).toEqual({})
    expect(hangingNow(log.state)).toEqual([])
  })
  it('reads as it did where the act was told before this was known', () => {
    const before = arrivedApart('rwd-longitudinal', { exhaust: 'off' }, {})
    expect(leftOut(before)).not.toContain('prop-marked')
    expect(left(before).indexOf('hold-engine')).toBeGreaterThan(left(before).indexOf('prop-marked'))
  })
})

describe('an order in which bonds hold', () => {
  const bond = (before: string, after: string, atOnce?: true) => ({ before, after, atOnce })
  it('stays as it is where they do', () => {
    expect(inOrderOf(['a', 'b', 'c'], [bond('a', 'c')])).toEqual(['a', 'b', 'c'])
  })
  it('brings forward what comes first, with what that waits for, and keeps what follows at once', () => {
    expect(inOrderOf(['a', 'b', 'c', 'd'], [bond('d', 'a'), bond('c', 'd')])).toEqual(['b', 'c', 'd', 'a'])
    expect(inOrderOf(['a', 'b', 'c', 'd'], [bond('c', 'a'), bond('c', 'd', true)])).toEqual(['b', 'c', 'd', 'a'])
  })
  it('is the old one where they contradict each other', () => {
    expect(inOrderOf(['a', 'b'], [bond('a', 'b'), bond('b', 'a')])).toEqual(['a', 'b'])
  })
})
