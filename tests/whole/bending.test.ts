import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { admit, applyEvent, breachesAhead, lastUndoable, reduceJob, stepsLeft } from '../../core/job'
import type { JobEvent, JobState } from '../../core/job'
import type { Pack } from '../../core/packs'
import { operationOrder } from '../../core/sequence'
import { brokenLinks } from '../../core/sequence/broken-links'
import { DemoMechanic } from '../../server/demo/play'
import { addedAt, apartAgain, decided, finished, found, gone, renewed } from '../support/bend'
import { TestLog } from '../support/job-log'
import { shelf } from '../support/packs'
import { pairwise } from '../support/pairwise'
import { personId } from '../support/requests'
import { numbered, told } from '../support/told'

/** What may come over a job: something is in the way, something has to be done anew, parts are renewed or left. */
const turn = fc.oneof(
  fc.record({
    kind: fc.constant('found' as const),
    moment: fc.double({ min: 0, max: 0.98, noNaN: true }),
    what: found,
  }),
  fc.record({ kind: fc.constant('gone' as const), moment: fc.double({ min: 0.4, max: 1, noNaN: true }), what: gone }),
  fc.record({
    kind: fc.constant('renewed' as const),
    moment: fc.double({ min: 0, max: 1, noNaN: true }),
    what: decided,
  }),
)
const isLong = process.env.ELDRIN_LONG !== undefined

/** How many plans were bent, and what would hang, stand in the way or be dirty in one of them. */
let bends = 0
const breached: string[] = []

type Turn = typeof turn extends fc.Arbitrary<infer What> ? What : never

function eventOf(pack: Pack, events: JobEvent[], state: JobState, index: number, turned: Turn): JobEvent | null {
  if (turned.kind === 'renewed') return renewed(pack, state, events, index, turned.what)
  if (turned.kind === 'found') {
    const payload = addedAt(state, `own-${index}`, turned.what)
    return payload && told(events, `added-${index}`, 'step-added', payload)
  }
  const payload = apartAgain(events, index, turned.what)
  return payload && told(events, `again-${index}`, 'apart-again', payload)
}

describe.each([...shelf.packs.values()].map(pack => [pack.id, pack] as const))('%s', (_id, pack) => {
  const choices = pairwise(pack)
  it('bends to everything that comes over one job, one thing after the other, and is worked off until nothing is off', () => {
    fc.assert(
      fc.property(fc.array(turn, { minLength: 2, maxLength: 5 }), fc.nat(), (turns, seed) => {
        const { options } = choices[seed % choices.length]!
        let events = numbered(TestLog.open(pack, options).events)
        for (const [index, each] of turns.toSorted((a, b) => a.moment - b.moment).entries()) {
          const steps = operationOrder(reduceJob(events).plan!)
          const clock = Math.max(
            Date.parse('2026-03-02T08:00:00.000Z') + index * 86_400_000,
            Date.parse(events.at(-1)!.deviceTime),
          )
          const until = steps[Math.floor(each.moment * steps.length)] ?? null
          events = numbered([...events, ...new DemoMechanic(events, personId, clock).workUntil(until).events])
          const state = reduceJob(events)
          const event = eventOf(pack, events, state, index, each)
          if (!event) continue
          const refusal = admit(state, event, events)
          if (refusal) {
            // Parts alone may be too late; whatever is found or breaks becomes work at any moment.
            expect([each.kind, refusal.reason]).toEqual([
              'renewed',
              expect.stringMatching(/^(This is done already|Too late as the car stands|On this job no part)/),
            ])
            continue
          }
          const after = reduceJob([...events, event])
          const ahead = operationOrder(after.plan!).filter(id => !after.done[id])
          expect(brokenLinks(ahead, after.procedure!.links)).toEqual([])
          bends++
          for (const { step, because } of breachesAhead(after, ahead)) breached.push(`${pack.id}, ${step}: ${because}`)
          expect(Object.values(after.done).map(({ eventId }) => eventId)).toEqual(
            Object.values(state.done).map(({ eventId }) => eventId),
          )
          const undone = told([...events, event], `undo-${index}`, 'undone', { eventId: event.id })
          expect(lastUndoable([...events, event])).toBe(event)
          expect(reduceJob([...events, event, undone])).toEqual({
            ...state,
            lastSeq: undone.seq,
            lastAt: undone.deviceTime,
          })
          events = [...events, event]
        }
        const done = numbered([...events, ...finished(events)])
        const state = reduceJob(events)
        for (const event of done.slice(events.length)) {
          if (event.type === 'step-done') expect(admit(state, event, done), JSON.stringify(event.payload)).toBeNull()
          applyEvent(state, event)
        }
        expect([stepsLeft(state), state.ledger]).toEqual([[], {}])
      }),
      { numRuns: isLong ? 30 : 2, endOnFailure: true },
    )
  })
})

it('leads to no plan in which something hangs, stands in the way or is dirty', () => {
  expect(bends).toBeGreaterThan(0)
  if (!isLong) return expect(breached).toEqual([])
  console.log(`${breached.length} breaches in ${bends} bends\n${breached.join('\n')}`)
  // What is forgotten of bolts that come apart twice is not known by now: a subframe that is in the way of the jack.
  expect(breached.length / bends).toBeLessThan(0.02)
})
