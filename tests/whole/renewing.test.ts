import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { admit, applyEvent, choicesFor, lastUndoable, reachOf, reduceJob, stepsLeft } from '../../core/job'
import { expandPack } from '../../core/packs'
import type { Pack } from '../../core/packs'
import { operationOrder } from '../../core/sequence'
import { brokenLinks } from '../../core/sequence/broken-links'
import { DemoMechanic } from '../../server/demo/play'
import { decided, renewed } from '../support/bend'
import { TestLog } from '../support/job-log'
import { shelf } from '../support/packs'
import { personId } from '../support/requests'
import { numbered, told } from '../support/told'

const partsOf = (pack: Pack) => pack.options.filter(option => option.renews !== undefined)
const partIn = (pack: Pack, id: string) => pack.bench.reachable.find(part => part.id === id)!
const hasConverter = ({ bench }: Pack) =>
  bench.sheets.some(sheet => sheet.judges.some(({ kind }) => kind === 'converter-seat'))
/** What is mated at a tube or in the middle of a tractor is another kind of box, with parts of its own in reach. */
const leavesItsBell = ({ bench }: Pack) => bench.mating?.step === 'pull-box.refit'
/** Facts of the trade, common practice, no source: what comes within reach on every car whose box comes out. */
const EVERYWHERE = ['dowels', 'mounts']
const WITH_A_CLUTCH = ['cam-plug', 'input-seal', 'input-shaft']
const WITH_A_CONVERTER = ['engine-mounts', 'output-seal', 'pump-seal']

describe.each([...shelf.packs.values()].map(pack => [pack.id, pack] as const))('%s', (_id, pack) => {
  const bare = expandPack(pack)

  it('renews every part by work of its own: steps, minutes and the part itself, and nothing of it is there when it is left', () => {
    const reach = reachOf(bare, pack)
    expect(partsOf(pack).map(option => option.id)).toEqual(
      expect.arrayContaining(
        leavesItsBell(pack) ? [...EVERYWHERE, ...(hasConverter(pack) ? WITH_A_CONVERTER : WITH_A_CLUTCH)] : [],
      ),
    )
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
      Object.keys(operation.parts).some(part =>
        /^(axle-seals|output-seal|input-seal|case-seals|pump-seal|side-seals|joint-seal)$/.test(part),
      ),
    )
    expect(seals.length > 0).toBe(pack.bench.mating !== undefined)
    for (const { id, readings } of seals)
      expect(
        readings.some(spec => spec.kind === 'choice' && spec.stops?.includes('sheet not read')),
        id,
      ).toBe(true)
  })

  it('puts the work in and takes it out at any moment, is undone, and is worked off until nothing is off', () => {
    const turn = fc.record({
      moment: fc.double({ min: 0, max: 1, noNaN: true }),
      decided,
    })
    fc.assert(
      fc.property(fc.array(turn, { minLength: 1, maxLength: 3 }), turns => {
        let events = numbered(TestLog.open(pack).events)
        for (const [index, { moment, decided: picks }] of turns.toSorted((a, b) => a.moment - b.moment).entries()) {
          const steps = operationOrder(reduceJob(events).plan!)
          const clock = Date.parse('2026-03-02T08:00:00.000Z') + index * 86_400_000
          const until = steps[Math.floor(moment * steps.length)] ?? null
          events = numbered([...events, ...new DemoMechanic(events, personId, clock).workUntil(until).events])
          const state = reduceJob(events)
          const event = renewed(pack, state, events, index, picks)
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
      { numRuns: process.env.ELDRIN_LONG ? 30 : 2, endOnFailure: true },
    )
  })
})

const allRenewed = (pack: Pack) => Object.fromEntries(partsOf(pack).map(({ id, choices }) => [id, choices[1]!.id]))
