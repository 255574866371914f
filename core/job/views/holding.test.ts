import { describe, expect, it } from 'vitest'
import { shelf } from '../../../tests/support/packs'
import { TestLog } from '../../../tests/support/job-log'
import { admit } from '..'
import { hangingNow, holdingAfter, holdingAhead, holdingNow } from './holding'

const opened = TestLog.open(shelf.packs.get('fwd-transverse')!)
/** A job worked off up to before a step. */
function before(stepId: string): TestLog {
  const log = new TestLog()
  log.events.push(...opened.events)
  const order = opened.state.plan!.order.filter(id => opened.state.procedure!.operations.some(step => step.id === id))
  for (const id of opened.state.plan!.order) {
    if (id === stepId) break
    log.done(id)
  }
  expect(order).toContain(stepId)
  return log
}
const by = (log: TestLog, load: string) => holdingNow(log.state).find(({ loadId }) => loadId === load)!
const step = (log: TestLog, id: string) => log.state.procedure!.operations.find(operation => operation.id === id)!

describe('what holds what is heavy', () => {
  it('is what the car came with, before anything is touched', () => {
    expect(by(opened, 'box')).toMatchObject({
      isOut: false,
      hangs: null,
      by: [expect.stringMatching(/8 of 8 at their figure/)],
    })
    expect(hangingNow(opened.state)).toEqual([])
  })
  it('is its jack when that is under it, and the floor when it is out', () => {
    const log = before('box-jack-under')
    const [change] = holdingAfter(log.state, step(log, 'box-jack-under'))
    expect(by(log, 'box').by).toHaveLength(1)
    expect(change!.by).toHaveLength(2)
    // The engine is held as it was.
    expect(holdingAfter(log.state, step(log, 'box-jack-under'))).toHaveLength(1)
    expect(by(before('wet-bell'), 'box')).toMatchObject({ isOut: true, by: [], hangs: null })
  })
  it('is nothing that a board tells of as out or snug', () => {
    const log = before('box-jack-under.refit')
    expect(hangingNow(log.state)).toEqual([])
    const boltIds = log.state.boards['bell-bolts']!.bolts.slice(1).map(({ id }) => id)
    log.add('bolts-in', { group: 'bell-bolts', boltIds, stand: 'snug' })
    expect(by(log, 'box').by).toHaveLength(1)
    const [change] = holdingAfter(log.state, step(log, 'box-jack-under.refit'))
    expect(change!.hangs).toBe(
      '{Transmission} hangs. Jack and strap under the box: away. Bell bolts: 1 of 8 at their figure.',
    )
  })
  it('is told ahead for the steps that change it alone', () => {
    const rows = holdingAhead(opened.state)
    expect(rows.map(({ stepId }) => stepId)).toEqual(
      expect.arrayContaining(['hold-engine', 'box-jack-under', 'pull-box', 'box-jack-under.refit']),
    )
    expect(rows.map(({ stepId }) => stepId)).not.toContain('undertray-off')
    expect(rows.flatMap(({ holding }) => holding).filter(({ hangs, byHand }) => hangs && !byHand)).toEqual([])
    expect(holdingAhead(before('wet-bell').state).map(({ stepId }) => stepId)).not.toContain('pull-box')
  })
  it('says what hangs until it is cured', () => {
    const log = before('box-jack-under.refit').done('box-jack-under.refit')
    const group = 'bell-bolts'
    const boltIds = log.state.boards[group]!.bolts.slice(1).map(({ id }) => id)
    log.add('bolts-in', { group, boltIds, stand: 'snug' })
    expect(hangingNow(log.state).map(({ loadId }) => loadId)).toContain('box')
    log.add('bolts-in', { group, boltIds, stand: 'feel' })
    expect(hangingNow(log.state)).toEqual([])
  })
})
it('hangs in a hand until a step that has nothing to do with it is done, and not a moment longer', () => {
  const log = new TestLog()
  const aside = TestLog.open(shelf.packs.get('fwd-transverse')!, { starter: 'aside' })
  log.events.push(...aside.events)
  const order = aside.state.plan!.order
  for (const id of order.slice(0, order.indexOf('starter-out') + 1)) log.done(id)
  expect(by(log, 'starter')).toMatchObject({ hangs: expect.stringContaining('hangs'), byHand: true })
  const forgotten = new TestLog()
  forgotten.events.push(...log.events)
  // Somebody else goes on beside it: whoever took it down is told to tie it up first.
  const others = order.filter(id => id !== 'starter-tied' && !log.state.done[id])
  const goesOn = others
    .map(stepId => ({ ...log.event('step-done', { stepId }), personId: 'q' }))
    .find(act => admit(log.state, act, log.events) === null)!
  forgotten.events.push(goesOn)
  expect(by(forgotten, 'starter')).toMatchObject({ hangs: expect.stringContaining('hangs'), byHand: false })
  expect(by(log.done('starter-tied'), 'starter').hangs).toBeNull()
})
it('is nothing for a layout that says of no load', () => {
  const { procedure, ...rest } = opened.state
  expect(holdingNow({ ...rest, procedure: { ...procedure!, loads: undefined } })).toEqual([])
})
it('hangs nowhere while a plan is worked off', () => {
  const log = new TestLog()
  log.events.push(...opened.events)
  const hung = opened.state.plan!.order.flatMap(id =>
    hangingNow(log.done(id).state)
      .filter(({ byHand }) => !byHand)
      .map(({ hangs }) => `${id}: ${hangs}`),
  )
  expect(hung).toEqual([])
}, 60_000)
