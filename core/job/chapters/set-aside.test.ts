import { describe, expect, it } from 'vitest'
import { TestLog } from '../../../tests/support/job-log'
import { coverAndPart } from '../../../tests/support/small-pack'
import { admit, describeEvent } from '../job'
import { uncounted } from '../views/uncounted'

const opened = () => TestLog.open(coverAndPart())
const act = {
  id: 'a',
  type: 'note-added',
  payload: { stepId: null, text: 'x' },
  deviceId: 'd2',
  deviceTime: '2026-03-02T09:00:00.000Z',
  personId: 'q',
}

describe('an act set aside', () => {
  it('stands with who did what and why it does not count, changes nothing else, and stands once', () => {
    const log = opened().add('act-set-aside', { act, reason: 'The car is handed over.' })
    expect(log.state.aside).toEqual([
      { act, reason: 'The car is handed over.', at: log.events.at(-1)!.deviceTime, ended: null },
    ])
    expect(log.state.notes).toEqual([])
    expect(log.refusal('act-set-aside', { act, reason: 'Again.' })).toContain('already')
    const late = { ...log.event('note-added', { stepId: null, text: 'x' }), id: act.id }
    expect(admit(log.state, late, log.events)).toMatchObject({ path: 'id', reason: 'This act is set aside already.' })
  })
  it('is ended once, by being done anew or put away; that can be undone', () => {
    const log = opened().add('act-set-aside', { act, reason: 'x' })
    expect(log.refusal('aside-ended', { actId: 'nobody’s', how: 'put-away' })).toContain('No such act')
    log.add('aside-ended', { actId: 'a', how: 'put-away' })
    expect(log.state.aside[0]!.ended).toMatchObject({ how: 'put-away', personId: 'p' })
    expect(log.refusal('aside-ended', { actId: 'a', how: 'taken-up' })).toContain('already')
    expect(describeEvent(log.events.at(-1)!, log.events)).toBe('Act put away')
    log.add('undone', { eventId: log.events.at(-1)!.id })
    expect(log.state.aside[0]!.ended).toBeNull()
  })
  it('is kept of a job that is called off, too', () => {
    const log = opened().add('called-off', { reason: 'The customer came for it' })
    expect(log.refusal('step-done', { stepId: log.state.plan!.order[0]! })).not.toBeNull()
    expect(log.refusal('act-set-aside', { act, reason: 'Called off.' })).toBeNull()
    log.add('act-set-aside', { act, reason: 'Called off.' })
    expect(log.refusal('aside-ended', { actId: 'a', how: 'put-away' })).toBeNull()
  })
  it('whatever it says, says it as text: nothing of it becomes a key', () => {
    const odd = {
      ...act,
      id: '__proto__',
      type: 'constructor',
      payload: JSON.parse('{"__proto__": {"x": 1}}') as unknown,
    }
    const log = opened().add('act-set-aside', { act: odd, reason: 'x' })
    expect(log.state.aside[0]!.act).toEqual(odd)
    expect(({} as { x?: number }).x).toBeUndefined()
    expect(describeEvent({ ...log.events.at(-1)!, ...odd } as never, log.events)).toBe('constructor')
  })
})

describe('what is written in place of an act', () => {
  it('leaves nothing to do where somebody did the same step, or where it took back what did not count', () => {
    const log = opened()
    const [stepId] = log.state.plan!.order
    const mine = log.event('step-done', { stepId: stepId! })
    expect(uncounted(log.state, mine, 'x').settled).toBeUndefined()
    log.done(stepId!)
    expect(uncounted(log.state, mine, 'It is done.')).toMatchObject({
      reason: 'It is done.',
      settled: true,
      act: { type: 'step-done' },
    })
    log.add('act-set-aside', { act, reason: 'x' })
    expect(uncounted(log.state, log.event('undone', { eventId: 'a' }), 'x').settled).toBe(true)
    expect(uncounted(log.state, log.event('undone', { eventId: 'b' }), 'x').settled).toBeUndefined()
  })
})
