import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { admit, applyEvent, lastUndoable, reduceJob, stepsLeft } from '../../core/job'
import type { JobEvent } from '../../core/job'
import { brokenLinks } from '../../core/sequence/broken-links'
import { operationOrder } from '../../core/sequence'
import { DemoMechanic } from '../../server/demo/play'
import { apartAgain, finished, gone, sameOrder } from '../support/bend'
import { TestLog } from '../support/job-log'
import { shelf } from '../support/packs'
import { pairwise } from '../support/pairwise'
import { personId } from '../support/requests'
import { numbered, told } from '../support/told'

describe.each([...shelf.packs.values()].map(pack => [pack.id, pack] as const))('%s', (_id, pack) => {
  const choices = pairwise(pack)
  it('comes apart again at any step of the way back, is undone, and can be worked off until nothing is off', () => {
    fc.assert(
      fc.property(fc.array(gone, { minLength: 1, maxLength: 2 }), fc.nat(), (troubles, seed) => {
        const { options } = choices[seed % choices.length]!
        let events = numbered(TestLog.open(pack, options).events)
        for (const [index, what] of [...troubles].sort((a, b) => a.moment - b.moment).entries()) {
          const steps = operationOrder(reduceJob(events).plan!)
          const until = steps[Math.floor(what.moment * steps.length)] ?? null
          const clock = Date.parse(`2026-03-0${2 + index}T08:00:00.000Z`)
          events = numbered([...events, ...new DemoMechanic(events, personId, clock).workUntil(until).events])
          const payload = apartAgain(events, index, what)
          if (!payload) continue
          const state = reduceJob(events)
          const event = told(events, `again-${index}`, 'apart-again', payload)
          expect(admit(state, event, events)).toBeNull()
          const after = reduceJob([...events, event])
          const ahead = operationOrder(after.plan!).filter(id => !after.done[id])
          expect(brokenLinks(ahead, after.procedure!.links)).toEqual([])
          // Every act of a step done is still told of, under the id of the first time where it is done again.
          expect(Object.values(after.done).map(({ eventId }) => eventId)).toEqual(
            Object.values(state.done).map(({ eventId }) => eventId),
          )
          expect(Object.keys(after.done).length - Object.keys(state.done).length).toBe(0)
          expect(after.plan!.totals.workMinutes).toBeGreaterThanOrEqual(timedAnew(events).workMinutes - 1e-6)
          const undone = told([...events, event], `undo-${index}`, 'undone', { eventId: event.id })
          expect(lastUndoable([...events, event])).toBe(event)
          const back = reduceJob([...events, event, undone])
          expect([back.plan, back.procedure, back.done, back.runs]).toEqual([
            state.plan,
            state.procedure,
            state.done,
            state.runs,
          ])
          events = [...events, event]
        }
        const done = numbered([...events, ...finished(events)])
        const state = reduceJob(events)
        for (const event of done.slice(events.length)) {
          if (event.type === 'step-done') expect(admit(state, event, done)).toBeNull()
          applyEvent(state, event)
        }
        const end = reduceJob(done)
        expect(stepsLeft(end)).toEqual([])
        const never = reduceJob(numbered(playedThrough(pack, options)))
        expect(end.ledger).toEqual(never.ledger)
      }),
      { numRuns: process.env.ELDRIN_LONG ? 30 : 1, endOnFailure: true },
    )
  })
})

/** The plan as it is, timed from the steps done. */
function timedAnew(events: JobEvent[]) {
  const state = reduceJob(events)
  const event = told(events, 'anew', 'plan-changed', sameOrder(state))
  return reduceJob([...events, event]).plan!.totals
}

/** The same job when nothing went wrong: what it leaves off, if anything, is what this one may leave off. */
function playedThrough(pack: Parameters<typeof TestLog.open>[0], options: Record<string, string>): JobEvent[] {
  const { events } = TestLog.open(pack, options)
  return [
    ...events,
    ...new DemoMechanic(events, personId, Date.parse('2026-03-02T08:00:00.000Z')).workUntil(null).events,
  ]
}
