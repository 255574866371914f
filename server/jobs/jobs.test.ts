import { eq, sql } from 'drizzle-orm'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { freshDatabase } from '../../tests/support/database'
import type { TestDatabase } from '../../tests/support/database'
import { lineTo } from '../../tests/support/line'
import { shelf } from '../../tests/support/packs'
import { garageId, incoming, newJobRequest, personId } from '../../tests/support/requests'
import { reduceJob, summarise } from '../../core/job'
import { openDatabase } from '../db/client'
import { forGarage } from '../db/for-garage'
import { garage, jobEvent, jobSummary } from '../db/schema'
import { channelOf, newsOf } from './news'
import { appendEvents } from './append'
import { openJob } from './open'
import type { Refused } from '../refused'

let database: TestDatabase
beforeAll(async () => {
  database = await freshDatabase()
})
afterAll(() => database.drop())

const open = async (change = {}) => (await openJob(database.db, garageId, shelf, newJobRequest(change))).id
const post = (id: string, ...events: never[]) => appendEvents(database.db, garageId, id, events)
const events = (id: string) => forGarage(database.db, garageId).jobs.events(id)
const note = (text: string, change = {}) => incoming('note-added', { stepId: null, text }, change)
const refusal = async (act: Promise<unknown>) =>
  act.then(
    () => null,
    (error: unknown) => error as Refused,
  )

describe('openJob', () => {
  it('writes the opening and the plan, and takes over the figures of the car’s own book', async () => {
    const id = await open({ vehicleId: '3b0c9a10-7f5e-4a10-8d2b-1c6f6a2e0002' })
    const state = reduceJob(await events(id))
    expect(state.plan!.order.length).toBeGreaterThan(100)
    expect(state.figures['bell-bolts']).toMatchObject([{ torqueNm: 61, sourceKind: 'vehicle-book' }])
    expect(state.figures['cover-bolts']).toBeUndefined()
  })
  it('opens the same job once', async () => {
    const request = newJobRequest()
    const [first, second] = await Promise.all([
      openJob(database.db, garageId, shelf, request),
      openJob(database.db, garageId, shelf, request),
    ])
    expect(first).toEqual(second)
    expect((await events(request.id)).filter(event => event.type === 'job-opened')).toHaveLength(1)
  })
  it('gives every job a number of its own, also at the same moment', async () => {
    const numbers = await Promise.all(
      Array.from({ length: 6 }, () => openJob(database.db, garageId, shelf, newJobRequest())),
    )
    expect(new Set(numbers.map(({ number }) => number)).size).toBe(6)
  })
  it.each([
    [{ packId: 'flying-carpet' }, 'packId'],
    [{ options: { slave: 'gold' } }, 'options.slave'],
    [{ options: { sauce: 'red' } }, 'options.sauce'],
    [{ vehicleId: crypto.randomUUID() }, 'vehicleId'],
    [{ personId: crypto.randomUUID() }, 'personId'],
  ])('refuses %o and writes nothing', async (change, path) => {
    const request = newJobRequest(change)
    expect((await refusal(openJob(database.db, garageId, shelf, request)))!.issues[0]!.path).toBe(path)
    expect(await forGarage(database.db, garageId).jobs.find(request.id)).toBeNull()
  })
})

describe('appendEvents', () => {
  it('numbers events without a gap, also when posted side by side', async () => {
    const id = await open()
    const before = (await events(id)).length
    await Promise.all(Array.from({ length: 12 }, (_, index) => post(id, note(`note ${index}`))))
    const all = await events(id)
    expect(all.map(event => event.seq)).toEqual(Array.from({ length: before + 12 }, (_, index) => index + 1))
  })
  it('answers an event it has already with its number', async () => {
    const id = await open()
    const event = note('once')
    const first = await post(id, event)
    expect(await post(id, event)).toEqual(first)
    expect((await events(id)).filter(entry => entry.type === 'note-added')).toHaveLength(1)
    const twice = note('twice in one posting')
    expect((await post(id, twice, twice)).accepted).toHaveLength(2)
    expect((await events(id)).filter(entry => entry.type === 'note-added')).toHaveLength(2)
  })
  it('asks once more under its id where the line was lost over the answer, and writes it once', async () => {
    const line = await lineTo(database.url)
    const through = openDatabase(line.url, 2)
    try {
      const request = newJobRequest()
      line.loseAnswerTo('insert into')
      const { id } = await openJob(through.db, garageId, shelf, request)
      line.loseAnswerTo('commit')
      const written = await appendEvents(through.db, garageId, id, [note('said once')])
      const kept = (await events(id)).filter(event => event.type !== 'plan-made')
      expect(kept.filter(event => event.type === 'job-opened')).toHaveLength(1)
      expect(kept.filter(event => event.type === 'note-added').map(event => event.seq)).toEqual(
        written.accepted.map(({ seq }) => seq),
      )
      const before = await events(id)
      line.loseAnswerTo('for update')
      await appendEvents(through.db, garageId, id, [note('said again')])
      expect(await events(id)).toHaveLength(before.length + 1)
    } finally {
      await through.close()
      await line.close()
    }
  })
  it('takes all of a posting or none', async () => {
    const id = await open()
    const before = await events(id)
    const error = await refusal(post(id, note('good'), incoming('step-done', { stepId: 'pull-box' })))
    expect(error).toMatchObject({
      status: 409,
      issues: [{ path: 'events[1].payload.stepId', reason: expect.stringContaining('First:') }],
    })
    expect(await events(id)).toEqual(before)
  })
  it('lets one of two devices win a step, and tells the other', async () => {
    const id = await open()
    const first = reduceJob(await events(id)).plan!.order[0]!
    const take = () =>
      post(id, incoming('timer-started', { stepId: first })).then(
        () => 'taken',
        (error: Refused) => error.issues[0]!.reason,
      )
    expect((await Promise.all([take(), take()])).sort()).toEqual([
      'The timer of this step is running already.',
      'taken',
    ])
  })
  it('keeps the Yard’s line in step', async () => {
    const id = await open()
    await post(
      id,
      incoming('trouble-raised', {
        troubleId: crypto.randomUUID(),
        stepId: 'flywheel-look',
        text: 'None in stock',
        waitsFor: 'Flywheel',
        until: null,
      }),
    )
    const [row] = await database.db.select().from(jobSummary).where(eq(jobSummary.jobId, id))
    expect(row!.summary).toEqual(summarise(reduceJob(await events(id))))
    expect(row).toMatchObject({ status: 'waiting', lastSeq: (await events(id)).length })
  })
  it('keeps a figure of the vehicle’s book for the next job on the car, and only that', async () => {
    const id = await open()
    await post(
      id,
      incoming('figure-named', {
        group: 'starter-bolts',
        torqueNm: 39,
        sourceKind: 'vehicle-book',
        reference: 'Book, page 3',
      }),
    )
    await post(
      id,
      incoming('figure-named', { group: 'cover-bolts', torqueNm: 21, sourceKind: 'kit-sheet', reference: 'Sheet 4' }),
    )
    expect(reduceJob(await events(await open())).figures).toMatchObject({ 'starter-bolts': [{ torqueNm: 39 }] })
    expect(reduceJob(await events(await open())).figures['cover-bolts']).toBeUndefined()
  })
  it('keeps the stages of the book and what the bolts are for the next job on the car', async () => {
    const id = await open()
    const stages = [
      { kind: 'torque', torqueNm: 20 },
      { kind: 'angle', angleDeg: 90 },
    ]
    await post(
      id,
      incoming('figure-named', {
        group: 'bracket-bolts',
        torqueNm: 20,
        sourceKind: 'vehicle-book',
        reference: 'Book, page 9',
        stages,
        condition: 'oiled',
        renew: 'always',
      }),
    )
    await post(
      id,
      incoming('fastener-described', {
        group: 'bracket-bolts',
        fastener: { thread: 'M10', propertyClass: '10.9', material: 'aluminium', engagementMm: 20 },
      }),
    )
    await post(
      id,
      incoming('fastener-described', { group: 'cover-bolts', fastener: { thread: 'M8', propertyClass: '8.8' } }),
    )
    const next = reduceJob(await events(await open()))
    expect(next.figures['bracket-bolts']).toMatchObject([
      { torqueNm: 20, stages, condition: 'oiled', renew: 'always', personId },
    ])
    expect(next.fasteners).toMatchObject({ 'bracket-bolts': { thread: 'M10', material: 'aluminium' } })
    expect(next.fasteners['cover-bolts']).toBeUndefined()
  })
  it('refuses an id of another job, an unknown person, an unknown job', async () => {
    const [one, two] = [await open(), await open()]
    const event = note('mine')
    await post(one, event)
    expect((await refusal(post(two, event)))!.status).toBe(409)
    expect((await refusal(post(one, note('x', { personId: crypto.randomUUID() }))))!.issues[0]!.path).toBe(
      'events[0].personId',
    )
    expect((await refusal(post(crypto.randomUUID(), note('x'))))!.status).toBe(404)
  })
  it('tells whoever listens, once it is written', async () => {
    const id = await open()
    const heard: string[] = []
    const listener = await database.pool.connect()
    listener.on('notification', ({ payload }) => heard.push(payload!))
    await listener.query(`listen ${channelOf(garageId)}`)
    await post(id, note('heard'))
    await expect.poll(() => heard.length).toBeGreaterThan(0)
    expect(newsOf(heard.at(-1)!)).toEqual({ garageId, jobId: id, seq: (await events(id)).length })
    listener.release(true)
  })
})

describe('the log', () => {
  it('cannot be changed or shortened', async () => {
    const id = await open()
    const reason = (error: unknown) => String((error as { cause?: unknown }).cause ?? error)
    await expect(
      database.db
        .update(jobEvent)
        .set({ type: 'other' })
        .where(eq(jobEvent.jobId, id))
        .catch(error => reason(error)),
    ).resolves.toContain('append only')
    await expect(
      database.db
        .delete(jobEvent)
        .where(eq(jobEvent.jobId, id))
        .catch(error => reason(error)),
    ).resolves.toContain('append only')
  })
  it('gives back what went in', async () => {
    const id = await open()
    const event = note('Long bolt: “rear, lowest” — 55 mm ✓')
    await post(id, event)
    expect((await events(id)).at(-1)).toMatchObject({ ...(event as object), jobId: id })
  })
})

it('shows a garage nothing of another', async () => {
  const id = await open()
  const other = crypto.randomUUID()
  await database.db.insert(garage).values({ id: other, name: 'Next door', town: 'Elsewhere' })
  const store = forGarage(database.db, other)
  expect(await store.jobs.find(id)).toBeNull()
  expect(await store.jobs.events(id)).toEqual([])
  expect(await store.jobs.summaries()).toEqual([])
  expect(await store.vehicles.list()).toEqual([])
  expect(await store.garage.people()).toEqual([])
  expect((await refusal(appendEvents(database.db, other, id, [note('mine')])))!.status).toBe(404)
  expect((await refusal(openJob(database.db, other, shelf, newJobRequest())))!.issues[0]!.path).toBe('vehicleId')
  expect(
    await database.db
      .select({ count: sql<number>`count(*)::int` })
      .from(jobEvent)
      .where(eq(jobEvent.garageId, other)),
  ).toEqual([{ count: 0 }])
})
