import { describe, expect, it } from 'vitest'
import { TestLog } from '../../../tests/support/job-log'
import { shelf } from '../../../tests/support/packs'
import { blockersFor } from './blockers-for'
import { blockersOf } from './blockers'

const ME = 'p'
const HELPER = 'q'
/** A job worked off up to and with a step. */
function after(stepId: string, choices = {}, layout = 'fwd-transverse'): TestLog {
  const log = TestLog.open(shelf.packs.get(layout)!, choices)
  const { order } = log.state.plan!
  return log.done(...order.slice(0, order.indexOf(stepId) + 1))
}
const inReach = (log: TestLog) =>
  log.state.plan!.order.filter(id => !log.state.done[id] && blockersOf(log.state, id).length === 0)

describe('a step that follows at once', () => {
  const log = after('starter-out', { starter: 'aside' })
  it('comes before whatever else is in reach, for whoever did the one before it', () => {
    const others = inReach(log).filter(id => id !== 'starter-tied')
    expect(others.length).toBeGreaterThan(1)
    for (const id of others)
      expect(blockersFor(log.state, id, ME)).toContainEqual({
        stepId: 'starter-tied',
        title: expect.stringMatching(/starter/i),
        kind: 'physical',
        because: 'A starter that hangs on its cables tears their ends.',
      })
    expect(blockersFor(log.state, 'starter-tied', ME)).toEqual([])
  })
  it('is in nobody’s way who works beside them', () => {
    for (const id of inReach(log)) expect(blockersFor(log.state, id, HELPER)).toEqual([])
  })
  it('is in nobody’s way when it is done, or when the one before it is taken back', () => {
    const tied = new TestLog()
    tied.events.push(...log.events)
    tied.done('starter-tied')
    for (const id of inReach(tied)) expect(blockersFor(tied.state, id, ME)).toEqual([])
    const taken = new TestLog()
    taken.events.push(...log.events)
    taken.add('undone', { eventId: log.events.at(-1)!.id })
    for (const id of inReach(taken)) expect(blockersFor(taken.state, id, ME)).toEqual([])
  })
  it('is in nobody’s way while it waits for something itself', () => {
    const state = { ...log.state }
    const before = inReach(log).find(id => id !== 'starter-tied')!
    const waits = {
      before,
      after: 'starter-tied',
      kind: 'access' as const,
      because: 'It is in the way.',
      waitMinutes: 0,
    }
    state.procedure = { ...state.procedure!, links: [...state.procedure!.links, waits] }
    expect(blockersOf(state, 'starter-tied')).not.toEqual([])
    for (const id of inReach(log)) if (id !== 'starter-tied') expect(blockersFor(state, id, ME)).toEqual([])
  })
  it('is not in the way of what the plan puts before it', () => {
    const { state } = log
    const sooner = inReach(log).find(id => id !== 'starter-tied')!
    const order = state.plan!.order.filter(id => id !== sooner)
    order.splice(order.indexOf('starter-tied'), 0, sooner)
    const bent = { ...state, plan: { ...state.plan!, order } }
    expect(blockersFor(state, sooner, ME)).not.toEqual([])
    expect(blockersFor(bent, sooner, ME)).toEqual([])
  })
  it('is asked for when anything else is called done, with its sentence', () => {
    const another = inReach(log).find(id => id !== 'starter-tied')!
    const because = /^First: .* A starter that hangs on its cables tears their ends\.$/
    expect(log.refusal('step-done', { stepId: another })).toMatch(because)
    expect(log.refusedAt('step-done', { stepId: another })).toBe('payload.stepId')
    expect(log.refusal('step-done', { stepId: 'starter-tied' })).toBeNull()
  })
})
