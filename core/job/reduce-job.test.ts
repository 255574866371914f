import { describe, expect, it } from 'vitest'
import { TestLog } from '../../tests/support/job-log'
import { coverAndPart } from '../../tests/support/small-pack'
import { reduceJob } from './job'
import { actualMinutes, minutesLeft } from './views/minutes'
import { nextStep, stepView } from './views/steps'

import fc from 'fast-check'

const open = () => TestLog.open(coverAndPart())

describe('reduceJob', () => {
  it('knows nothing without events', () => {
    expect(reduceJob([])).toMatchObject({ jobId: null, plan: null, ledger: {} })
  })
  it('keeps the ledger and the height of the car', () => {
    const log = open().done('cover-off', 'raise-1', 'part-off')
    expect(log.state.ledger).toEqual({ cover: 1, stands: 2, part: 3 })
    expect(log.state.car).toBe('raised')
    expect(log.all().state.ledger).toEqual(log.state.car === 'raised' ? { stands: 2 } : {})
  })
  it('does not mind order, as long as events are numbered', () => {
    const events = open().all().events
    fc.assert(
      fc.property(fc.shuffledSubarray(events, { minLength: events.length }), shuffled => {
        expect(reduceJob(shuffled)).toEqual(reduceJob(events))
      }),
    )
  })
  it('counts an event given twice once', () => {
    const events = open().done('cover-off').events
    expect(reduceJob([...events, ...events])).toEqual(reduceJob(events))
  })
  it('puts events on their way after the numbered ones', () => {
    const log = open()
    const waiting = { ...log.event('step-done', { stepId: 'cover-off' }), seq: null }
    expect(reduceJob([waiting, ...log.events]).done).toHaveProperty('cover-off')
  })
  it('stays plain JSON', () => {
    const state = open().done('cover-off').state
    expect(JSON.parse(JSON.stringify(state))).toEqual(state)
  })
  it('passes over types it does not know', () => {
    const log = open()
    const strange = { ...log.event('note-added', { stepId: null, text: 'x' }), type: 'from-the-future' } as never
    expect(reduceJob([...log.events, strange]).notes).toEqual([])
  })
})

describe('undone', () => {
  it('takes an act back as if it had not been', () => {
    const log = open()
    const before = log.state
    log.done('cover-off').add('undone', { eventId: log.events.at(-1)!.id })
    expect({ ...log.state, lastSeq: 0, lastAt: null }).toEqual({ ...before, lastSeq: 0, lastAt: null })
  })
  it('can be undone itself', () => {
    const log = open().done('cover-off')
    const done = log.events.at(-1)!.id
    log.add('undone', { eventId: done })
    log.add('undone', { eventId: log.events.at(-1)!.id })
    expect(log.state.done).toHaveProperty('cover-off')
  })
})

describe('timers', () => {
  it('add up and stop with the step', () => {
    const log = open().add('timer-started', { stepId: 'cover-off' }).add('timer-stopped', { stepId: 'cover-off' }, 5)
    log.add('timer-started', { stepId: 'cover-off' }).add('step-done', { stepId: 'cover-off' }, 7)
    expect(log.state.timers['cover-off']).toEqual({ seconds: 720, runningSince: null })
    expect(actualMinutes(log.state, 'cover-off', '2030-01-01T00:00:00Z')).toBe(12)
    expect(actualMinutes(log.state, 'look', '2030-01-01T00:00:00Z')).toBeNull()
  })
  it('count on while they run', () => {
    const log = open().add('timer-started', { stepId: 'cover-off' })
    const later = new Date(Date.parse(log.events.at(-1)!.deviceTime) + 90_000).toISOString()
    expect(actualMinutes(log.state, 'cover-off', later)).toBe(1.5)
  })
})

describe('steps', () => {
  it('come in the order of the plan, with all that is shown of them', () => {
    const log = open()
    expect(nextStep(log.state)).toMatchObject({ id: 'cover-off', stepInTrip: 1, takesOff: [{ count: 1 }] })
    expect(stepView(log.state, 'raise-1')).toMatchObject({
      title: 'Raise it',
      takesOff: [{ item: { id: 'stands' }, count: 2 }],
    })
    expect(stepView(log.state, 'nowhere')).toBeNull()
    expect(nextStep(log.all().state)).toBeNull()
  })
  it('leave fewer minutes as they are done', () => {
    const log = open()
    const before = minutesLeft(log.state)
    expect(before).toBeCloseTo(log.state.plan!.totals.minutes, 9)
    expect(minutesLeft(log.done('cover-off').state)).toBeLessThan(before)
    expect(minutesLeft(log.all().state)).toBe(0)
  })
})
