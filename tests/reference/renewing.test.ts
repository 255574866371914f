import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  admit,
  applyEvent,
  choicesFor,
  lastUndoable,
  orderKept,
  reachOf,
  reduceJob,
  stepsLeft,
  switchAsked,
} from '../../core/job'
import type { EventPayloads, JobEvent, JobState, PartDecided } from '../../core/job'
import { expandPack } from '../../core/packs'
import type { Pack } from '../../core/packs'
import { operationOrder, planJob } from '../../core/sequence'
import { brokenLinks } from '../../core/sequence/broken-links'
import { DemoMechanic } from '../../server/demo/play'
import { TestLog } from '../support/job-log'
import { shelf } from '../support/packs'
import { personId } from '../support/requests'
import { numbered, told } from '../support/told'

const partsOf = (pack: Pack) => pack.options.filter(option => option.renews !== undefined)
const partIn = (pack: Pack, id: string) => pack.bench.reachable.find(part => part.id === id)!
/** Facts of the trade, common practice, no source: what comes within reach on every car whose box comes out. */
const EVERYWHERE = ['cam-plug', 'dowels', 'input-seal', 'input-shaft', 'mounts']

describe.each([...shelf.packs.values()].map(pack => [pack.id, pack] as const))('%s', (_id, pack) => {
  const bare = expandPack(pack)

  it('renews every part by work of its own: steps, minutes and the part itself, and nothing of it is there when it is left', () => {
    const reach = reachOf(bare, pack)
    expect(partsOf(pack).map(option => option.id)).toEqual(expect.arrayContaining(EVERYWHERE))
    for (const { id, renews, choices } of partsOf(pack)) {
      const part = partIn(pack, renews!)
      for (const { id: way } of choices.slice(1)) {
        const choosing = choicesFor(bare, [{ part, decision: 'renew', way }])
        const work = expandPack(pack, { ...bare.options, ...choosing })
        const left = expandPack(pack, { ...work.options, ...choicesFor(work, [{ part, decision: 'leave' }]) })
        expect(choosing[id], id).toBe(way)
        const more = work.operations.filter(operation => !left.operations.some(other => other.id === operation.id))
        expect(more.length, `${id}=${way}`).toBeGreaterThan(0)
        const counted = [...work.operations].reduce((sum, operation) => sum + (operation.parts[part.part] ?? 0), 0)
        expect(counted, `${id}=${way}: ${part.part}`).toBeGreaterThan(0)
        expect(left.parts.some(each => each.id === part.part)).toBe(false)
        const minutes = more.reduce((sum, operation) => sum + operation.minutes[1], 0)
        const told = reach[part.id]!.ways.find(each => each.choice === way)!.minutesNow
        // What goes with it, such as a line that is opened for it, counts as well.
        expect(told, `${id}=${way}`).toBeGreaterThanOrEqual(minutes - 1e-6)
      }
    }
  })

  it('reads a seal that is renewed: how deep it sat, and how its lip goes on by its own sheet', () => {
    const every = expandPack(pack, allRenewed(pack))
    const seals = every.operations.filter(operation =>
      Object.keys(operation.parts).some(part => /^(axle-seals|output-seal|input-seal|case-seals)$/.test(part)),
    )
    expect(seals.length).toBeGreaterThan(0)
    for (const { id, readings } of seals)
      expect(
        readings.some(spec => spec.kind === 'choice' && spec.stops?.includes('sheet not read')),
        id,
      ).toBe(true)
  })

  it('puts the work in and takes it out at any moment, is undone, and is worked off until nothing is off', () => {
    const decided = fc.record({ part: fc.nat(), way: fc.nat(), leaves: fc.boolean() })
    const turn = fc.record({
      moment: fc.double({ min: 0, max: 1, noNaN: true }),
      decided: fc.array(decided, { minLength: 1, maxLength: 4 }),
    })
    fc.assert(
      fc.property(fc.array(turn, { minLength: 1, maxLength: 3 }), turns => {
        let events = numbered(TestLog.open(pack).events)
        for (const [index, { moment, decided }] of turns.toSorted((a, b) => a.moment - b.moment).entries()) {
          const steps = operationOrder(reduceJob(events).plan!)
          const clock = Date.parse('2026-03-02T08:00:00.000Z') + index * 86_400_000
          const until = steps[Math.floor(moment * steps.length)] ?? null
          events = numbered([...events, ...new DemoMechanic(events, personId, clock).workUntil(until).events])
          const state = reduceJob(events)
          const event = renewed(pack, state, events, index, decided)
          if (!event) continue
          const refusal = admit(state, event, events)
          // What is done already cannot be taken out again, nor can what is closed be put in, and each says so.
          if (refusal) {
            expect(refusal.reason).toMatch(/^(This is done already|Too late as the car stands)/)
            continue
          }
          const after = reduceJob([...events, event])
          const ahead = operationOrder(after.plan!).filter(id => !after.done[id])
          expect(brokenLinks(ahead, after.procedure!.links)).toEqual([])
          expect(Object.keys(after.done)).toEqual(Object.keys(state.done))
          const undone = told([...events, event], `undo-${index}`, 'undone', { eventId: event.id })
          expect(lastUndoable([...events, event])).toBe(event)
          const back = reduceJob([...events, event, undone])
          expect([back.plan, back.procedure, back.renewals]).toEqual([state.plan, state.procedure, state.renewals])
          events = [...events, event]
        }
        const mechanic = new DemoMechanic(events, personId, Date.parse('2026-03-06T08:00:00.000Z')).workUntil(null)
        const done = numbered([...events, ...mechanic.events])
        const state = reduceJob(events)
        for (const event of done.slice(events.length)) {
          if (event.type === 'step-done') expect(admit(state, event, done), JSON.stringify(event.payload)).toBeNull()
          applyEvent(state, event)
        }
        expect([stepsLeft(state), state.ledger]).toEqual([[], {}])
      }),
      { numRuns: process.env.ELDRIN_LONG ? 30 : 3, endOnFailure: true },
    )
  })
})

/** What is left of a job, in its order; with another order, only what stands in that. */
const ordered = ({ plan, done }: JobState, within?: string[]) =>
  operationOrder(plan!).filter(id => !done[id] && (within?.includes(id) ?? true))

const allRenewed = (pack: Pack) => Object.fromEntries(partsOf(pack).map(({ id, choices }) => [id, choices[1]!.id]))

/** Some parts renewed or left, each by any of its ways; `null` where that changes nothing. */
function renewed(
  pack: Pack,
  state: JobState,
  events: JobEvent[],
  index: number,
  picks: { part: number; way: number; leaves: boolean }[],
): JobEvent | null {
  const reachable = state.procedure!.bench.reachable.filter(part => part.option)
  const decided = picks.map(({ part: nth, way, leaves }): PartDecided => {
    const part = reachable[nth % reachable.length]!
    const ways = [part.option!.choice, ...(part.option!.others ?? [])]
    return leaves ? { part, decision: 'leave' } : { part, decision: 'renew', way: ways[way % ways.length]! }
  })
  const choices = choicesFor(state.procedure!, decided)
  if (Object.keys(choices).length === 0) return null
  const procedure = expandPack(pack, { ...state.procedure!.options, ...choices })
  const clock = { at: '2026-03-05T20:00:00.000Z', utcOffsetMinutes: 0 }
  const asked = switchAsked(state, procedure, state.circumstances, clock)
  const { clock: from, circumstances, setting } = asked
  const order = index % 2 === 0 ? orderKept(state, procedure, asked) : null
  if (order) expect(order.filter(id => ordered(state).includes(id))).toEqual(ordered(state, order))
  const request = { ...asked.request, ...(order ? { order } : {}) }
  const payload: EventPayloads['options-switched'] = {
    procedure,
    plan: planJob(procedure, setting, { ...request, effort: { moves: 1000 } }),
    circumstances,
    clock: from,
    decided: {
      decisions: decided.map(({ part, decision }) => ({ partId: part.id, decision })),
      because: 'Found so',
    },
  }
  return told(events, `renewed-${index}`, 'options-switched', payload)
}
