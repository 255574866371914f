import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { admit, ladderOf, lastUndoable, reduceJob } from '../../core/job'
import type { EventPayloads, EventType, JobEvent, JobState } from '../../core/job'
import { seededRandom } from '../../core/base/random'
import { forGarage } from '../../server/db/for-garage'
import { rebuildProjections } from '../../server/db/rebuild'
import { jobWords, vehicleFigure } from '../../server/db/schema'
import { DemoMechanic } from '../../server/demo/play'
import { appendEvents } from '../../server/jobs/append'
import { openJob } from '../../server/jobs/open'
import { tell } from '../../server/jobs/told'
import { projections } from '../../server/projections'
import { freshDatabase } from '../support/database'
import type { TestDatabase } from '../support/database'
import { shelf } from '../support/packs'
import { garageId, newJobRequest, personId } from '../support/requests'

let database: TestDatabase
beforeAll(async () => {
  database = await freshDatabase()
})
afterAll(() => database.drop())

const store = () => forGarage(database.db, garageId)

/** Names of the projections that are not what the log of a job says. */
async function stale(jobId: string): Promise<string[]> {
  const job = tell(await store().jobs.events(jobId))
  const found: string[] = []
  for (const { name, of, read } of projections) {
    try {
      expect(await read(store(), jobId)).toStrictEqual(of(job, garageId))
    } catch {
      found.push(name)
    }
  }
  return found
}

type Act = { [T in EventType]: { type: T; payload: EventPayloads[T] } }[EventType]

/** Something that might happen next, whether it may or not: acts that projections follow, and some that they do not. */
function anAct(state: JobState, log: JobEvent[], random: () => number): Act | null {
  const pick = <T>(list: readonly T[]): T | undefined => list[Math.floor(random() * list.length)]
  const words = `word${Math.floor(random() * 1e6)}`
  const group = pick(state.procedure!.groups)!
  const run = state.ladderRuns.at(-1)
  const rungs = run && ladderOf(state, run.ladderId)?.rungs
  const order = pick(state.orders)
  const part = pick(state.procedure!.parts)
  const stepId = pick(state.procedure!.operations)!.id
  const torqueNm = 20 + Math.floor(random() * 60)
  const acts: (Act | null)[] = [
    { type: 'note-added', payload: { stepId: null, text: words } },
    {
      type: 'trouble-raised',
      payload: { troubleId: crypto.randomUUID(), stepId, text: words, waitsFor: null, until: null },
    },
    state.troubles[0]
      ? { type: 'trouble-cleared', payload: { troubleId: pick(state.troubles)!.troubleId, how: words } }
      : null,
    {
      type: 'ladder-opened',
      payload: {
        ladderRunId: crypto.randomUUID(),
        ladderId: pick(state.procedure!.ladders)!.id,
        stepId: null,
        text: words,
      },
    },
    run && rungs
      ? {
          type: 'rung-begun',
          payload: {
            ladderRunId: run.ladderRunId,
            rungId: pick(rungs)!.id,
            ticked: rungs.flatMap(rung => rung.precautions ?? []),
          },
        }
      : null,
    run?.tries[0]
      ? {
          type: 'rung-ended',
          payload: {
            ladderRunId: run.ladderRunId,
            rungId: run.tries.at(-1)!.rungId,
            outcome: pick(['worked', 'failed'] as const)!,
            note: words,
          },
        }
      : null,
    { type: 'figure-named', payload: { group: group.id, torqueNm, sourceKind: 'vehicle-book', reference: words } },
    {
      type: 'figure-named',
      payload: { group: group.id, torqueNm, sourceKind: 'kit-sheet', reference: pick(['Sheet A', 'Sheet B'])! },
    },
    {
      type: 'fastener-described',
      payload: { group: group.id, fastener: { thread: 'M10 × 1.25', propertyClass: pick(['8.8', '10.9'])! } },
    },
    {
      type: 'part-ordered',
      payload: {
        orderId: crypto.randomUUID(),
        partId: part?.id ?? null,
        name: words,
        count: 1,
        priceEach: 12,
        supplier: 'counter',
        orderNo: pick([words, null])!,
        arrivesAt: '2026-03-05T08:00:00.000Z',
      },
    },
    order ? { type: 'part-came', payload: { orderId: order.orderId } } : null,
    {
      type: 'cause-found',
      payload: { tableId: 'pedal', causeId: 'worn-disc', title: words, text: '', findings: { slips: 'yes' } },
    },
    { type: 'promised', payload: { at: '2026-03-06T16:00:00.000Z' } },
    { type: 'week-placed', payload: { site: pick(['bay', 'driveway'] as const)!, travelMinutes: 10, notBefore: null } },
    { type: 'handed-over', payload: { to: words, odometerKm: null } },
    { type: 'called-off', payload: { reason: words } },
    lastUndoable(log) ? { type: 'undone', payload: { eventId: lastUndoable(log)!.id } } : null,
  ]
  return pick(acts.filter(act => act !== null)) ?? null
}

describe('every projection', () => {
  it.each([1, 2, 3, 4, 5, 6])(
    'is what a rebuild from the log would write, after any random job (seed %i)',
    async seed => {
      const random = seededRandom(seed)
      const request = newJobRequest()
      await openJob(database.db, garageId, shelf, request)
      const opened = await store().jobs.events(request.id)
      const { order } = reduceJob(opened).plan!
      const mechanic = new DemoMechanic(opened, personId, Date.parse('2026-03-02T08:00:00.000Z')).workUntil(
        random() < 0.4 ? null : order[Math.floor(random() * order.length)]!,
      )
      await appendEvents(database.db, garageId, request.id, mechanic.events)
      expect(await stale(request.id)).toEqual([])
      const met = new Set<EventType>()
      for (let turn = 0; turn < 40; turn++) {
        const log = await store().jobs.events(request.id)
        const state = reduceJob(log)
        const act = anAct(state, log, random)
        if (!act) continue
        const event = {
          id: crypto.randomUUID(),
          deviceId: 'test',
          deviceTime: new Date(Date.parse(state.lastAt!) + 60_000).toISOString(),
          personId,
          ...act,
        } as JobEvent
        if (admit(state, event, log)) continue
        await appendEvents(database.db, garageId, request.id, [event])
        met.add(act.type)
        expect(await stale(request.id), `after ${act.type}, turn ${turn}`).toEqual([])
      }
      expect(met.size).toBeGreaterThan(6)
    },
  )

  it('is found wrong and written anew where somebody changed it by hand, and the rebuild says what differed', async () => {
    const { id } = await openJob(database.db, garageId, shelf, newJobRequest())
    expect((await rebuildProjections(database.db)).differed).toEqual([])
    await database.db.update(jobWords).set({ words: 'nonsense' })
    await database.db.insert(vehicleFigure).values({
      id: crypto.randomUUID(),
      garageId,
      vehicleId: newJobRequest().vehicleId,
      jobId: id,
      group: 'engine-mount',
      torqueNm: 1,
      reference: 'nobody',
      enteredBy: personId,
    })
    const { jobs, differed } = await rebuildProjections(database.db)
    expect(differed).toHaveLength(jobs)
    expect(differed.at(-1)!.what).toEqual(['the words it is found by', 'figures of the car’s book'])
    expect(await stale(id)).toEqual([])
    expect((await rebuildProjections(database.db)).differed).toEqual([])
  })
})

describe('what is looked up', () => {
  it('is found by the note of a rung that ended, and no more when that is undone', async () => {
    const { id } = await openJob(database.db, garageId, shelf, newJobRequest())
    const state = reduceJob(await store().jobs.events(id))
    const ladder = state.procedure!.ladders.find(entry => !entry.rungs[0]!.precautions?.length)!
    const ladderRunId = crypto.randomUUID()
    const act = (type: EventType, payload: unknown) =>
      ({
        id: crypto.randomUUID(),
        deviceId: 'test',
        deviceTime: '2026-03-02T09:00:00.000Z',
        personId,
        type,
        payload,
      }) as JobEvent
    const ended = act('rung-ended', {
      ladderRunId,
      rungId: ladder.rungs[0]!.id,
      outcome: 'worked',
      note: 'zinnwald turned',
    })
    await appendEvents(database.db, garageId, id, [
      act('ladder-opened', { ladderRunId, ladderId: ladder.id, stepId: null, text: 'will not turn' }),
      act('rung-begun', { ladderRunId, rungId: ladder.rungs[0]!.id, ticked: [] }),
      ended,
    ])
    expect((await store().words.find('zinnwald')).map(found => found.summary.jobId)).toEqual([id])
    await appendEvents(database.db, garageId, id, [act('undone', { eventId: ended.id })])
    expect(await store().words.find('zinnwald')).toEqual([])
  })

  it('is the newest figure of the car’s book that still stands: one taken back leaves the one before', async () => {
    const request = newJobRequest()
    const { id } = await openJob(database.db, garageId, shelf, request)
    const group = reduceJob(await store().jobs.events(id)).procedure!.groups.find(entry => entry.part === 'vehicle')!.id
    const named = (torqueNm: number) =>
      ({
        id: crypto.randomUUID(),
        deviceId: 'test',
        deviceTime: new Date().toISOString(),
        personId,
        type: 'figure-named',
        payload: { group, torqueNm, sourceKind: 'vehicle-book', reference: 'Book' },
      }) as JobEvent
    const known = async () =>
      (await store().vehicles.figures(request.vehicleId)).find(figure => figure.group === group)?.torqueNm
    const slip = named(161)
    await appendEvents(database.db, garageId, id, [named(61), slip])
    expect(await known()).toBe(161)
    await appendEvents(database.db, garageId, id, [
      { ...slip, id: crypto.randomUUID(), type: 'undone', payload: { eventId: slip.id } } as JobEvent,
    ])
    expect(await known()).toBe(61)
  })
})
