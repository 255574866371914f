import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { admit, applyEvent, lastUndoable, reduceJob, stepsLeft } from '../../core/job'
import type { JobEvent } from '../../core/job'
import { brokenLinks } from '../../core/sequence/broken-links'
import { operationOrder } from '../../core/sequence'
import { DemoMechanic } from '../../server/demo/play'
import { addedAt, found } from '../support/bend'
import { TestLog } from '../support/job-log'
import { shelf } from '../support/packs'
import { pairwise } from '../support/pairwise'
import { personId } from '../support/requests'
import { numbered, told } from '../support/told'

const leftOut = (events: JobEvent[], stepId: string) =>
  told(events, `left-${events.length}`, 'step-left-out', {
    stepId,
    reason: 'This car has none',
    at: '2026-03-02T12:00:00.000Z',
    utcOffsetMinutes: 0,
  })
const leaving = (state: ReturnType<typeof reduceJob>, events: JobEvent[], stepId: string) =>
  admit(state, leftOut(events, stepId), events)

describe.each([...shelf.packs.values()].map(pack => [pack.id, pack] as const))('%s', (_id, pack) => {
  const choices = pairwise(pack)
  it('bends to whatever is found on the way: the plan can be worked off, nothing done is lost, all of it goes back', () => {
    fc.assert(
      fc.property(fc.array(found, { minLength: 1, maxLength: 3 }), fc.nat(), (finds, seed) => {
        const { options } = choices[seed % choices.length]!
        let events = numbered(TestLog.open(pack, options).events)
        for (const [index, what] of [...finds].sort((a, b) => a.moment - b.moment).entries()) {
          const before = reduceJob(events)
          const steps = operationOrder(before.plan!)
          const until = steps[Math.floor(what.moment * steps.length)]!
          // Each day's work begins after the last: what is done is done in this order.
          const clock = Math.max(Date.parse('2026-03-02T08:00:00.000Z'), Date.parse(events.at(-1)!.deviceTime))
          events = numbered([...events, ...new DemoMechanic(events, personId, clock).workUntil(until).events])
          const state = reduceJob(events)
          const payload = addedAt(state, `own-${index}`, what)
          if (!payload) continue
          const event = told(events, `added-${index}`, 'step-added', payload)
          expect(admit(state, event, events)).toBeNull()
          const after = reduceJob([...events, event])
          expect(brokenLinks(operationOrder(after.plan!), after.procedure!.links)).toEqual([])
          expect(Object.keys(after.done)).toEqual(Object.keys(state.done))
          const minutes = new Map(after.plan!.steps.map(step => [step.id, step.minutes]))
          expect(operationOrder(state.plan!).filter(id => !minutes.has(id))).toEqual([])
          expect(minutes.get(payload.stepId)).toBe(what.minutes)
          expect(minutes.get(`${payload.stepId}.refit`)).toBe(what.goesBack ? what.minutes : undefined)
          const undone = told([...events, event], `undo-${index}`, 'undone', { eventId: event.id })
          expect(lastUndoable([...events, event])).toBe(event)
          const back = reduceJob([...events, event, undone])
          expect([back.plan, back.procedure, back.ledger]).toEqual([state.plan, state.procedure, state.ledger])
          events = [...events, event]
          // And what comes after it is not there at all.
          const none = stepsLeft(after).find(id => id !== payload.stepId && !leaving(after, events, id))
          if (what.isLeftOut && none !== undefined) events = [...events, leftOut(events, none)]
        }
        const done = numbered([
          ...events,
          ...new DemoMechanic(events, personId, Date.parse('2026-03-03T08:00:00.000Z')).workUntil(null).events,
        ])
        const state = reduceJob(events)
        // Every step of it may be done when it is its turn.
        for (const event of done.slice(events.length)) {
          if (event.type === 'step-done') expect(admit(state, event, done)).toBeNull()
          applyEvent(state, event)
        }
        const end = reduceJob(done)
        expect(stepsLeft(end)).toEqual([])
        expect(Object.entries(end.ledger).filter(([thing]) => thing.startsWith('own-'))).toEqual([])
      }),
      { numRuns: process.env.ELDRIN_LONG ? 30 : 2, endOnFailure: true },
    )
  })
})
