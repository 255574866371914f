import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { PackLine, PackText } from '../../contracts/answers'
import { writePack } from '../../contracts/write-pack'
import { reduceJob } from '../../core/job'
import { forGarage } from '../../server/db/for-garage'
import {
  changePack,
  copyPack,
  findPack,
  importPack,
  listPacks,
  packTextOf,
  removePack,
} from '../../server/garage-packs'
import { appendEvents } from '../../server/jobs/append'
import { openJob } from '../../server/jobs/open'
import { switchJobOptions } from '../../server/jobs/switch-options'
import type { Refused } from '../../server/refused'
import { freshDatabase } from '../support/database'
import type { TestDatabase } from '../support/database'
import { shelf } from '../support/packs'
import { garageId, incoming, newJobRequest, personId } from '../support/requests'
import { coverAndPart } from '../support/small-pack'

let database: TestDatabase
beforeAll(async () => {
  database = await freshDatabase()
})
afterAll(() => database.drop())

const store = () => forGarage(database.db, garageId)
const ours = writePack(coverAndPart())
const refusal = (promise: Promise<unknown>) =>
  promise.then(
    () => expect.unreachable(),
    (error: Refused) => ({ status: error.status, ...error.issues[0] }),
  )

describe('layouts of the garage', () => {
  it('are taken in, listed after those that ship, read back as they were, and removed', async () => {
    await importPack(store(), shelf, ours, personId)
    const lines = await listPacks(store(), shelf)
    expect(lines.map((line: PackLine) => line.id)).toEqual([...shelf.packs.keys(), 'small'])
    expect(lines.at(-1)).toMatchObject({
      own: { revision: 1, changedBy: 'Maren Oduya-Plast' },
      operationCount: 3,
      fault: null,
    })
    expect((await packTextOf(store(), shelf, 'small')).yaml).toBe(ours)
    expect((await findPack(store(), shelf, 'small'))!.title).toBe('A small job')
    await removePack(store(), shelf, 'small')
    expect(await findPack(store(), shelf, 'small')).toBeNull()
  })

  it('are copies of those that ship, each under its own id', async () => {
    const one = await copyPack(store(), shelf, 'rwd-concentric', personId)
    const two = await copyPack(store(), shelf, 'rwd-concentric', personId)
    expect([one.id, two.id]).toEqual(['rwd-concentric-own', 'rwd-concentric-own-2'])
    const shipped = shelf.packs.get('rwd-concentric')!
    expect(JSON.parse(JSON.stringify(await findPack(store(), shelf, one.id)))).toEqual(
      JSON.parse(JSON.stringify({ ...shipped, id: one.id, title: `${shipped.title}, ours`, version: 1 })),
    )
  })

  it('are changed only from the revision they stand at, and never to what is wrong', async () => {
    const { id, yaml } = await copyPack(store(), shelf, 'classic-rwd', personId)
    const slower = yaml.replace('minutes: [ 8, 15, 30 ]', 'minutes: [ 9, 16, 40 ]')
    expect((await changePack(store(), shelf, id, 1, slower, personId)).revision).toBe(2)
    expect(await refusal(changePack(store(), shelf, id, 1, yaml, personId))).toMatchObject({
      status: 409,
      path: 'revision',
    })
    const wrong = await refusal(
      changePack(store(), shelf, id, 2, slower.replace('kind: safety', 'kind: hope'), personId),
    )
    expect(wrong).toMatchObject({ status: 422 })
    expect((wrong as { reason: string }).reason).toMatch(/^line \d+: /)
    expect(
      await refusal(changePack(store(), shelf, id, 2, slower.replace(`id: ${id}`, 'id: another'), personId)),
    ).toMatchObject({ status: 422, path: 'yaml.id' })
    expect(await packTextOf(store(), shelf, id)).toEqual({ id, yaml: slower, revision: 2 })
  })

  it('that do not hold any more are listed with their fault and change nothing else', async () => {
    await database.sql`insert into garage_pack (garage_id, id, yaml, changed_by) values (${garageId}, 'old', 'id: old', ${personId})`
    const lines = await listPacks(store(), shelf)
    expect(lines.find((line: PackLine) => line.id === 'old')!.fault).toContain('title')
    expect(lines.filter((line: PackLine) => line.fault === null).length).toBeGreaterThan(7)
    await database.sql`delete from garage_pack where id = 'old'`
  })

  it('belong to one garage alone', async () => {
    await importPack(store(), shelf, ours, personId)
    expect(await forGarage(database.db, crypto.randomUUID()).packs.list()).toEqual([])
    await removePack(store(), shelf, 'small')
  })

  it('plan jobs like those that ship', async () => {
    const copy: PackText = await copyPack(store(), shelf, '4x4-transfer', personId)
    const request = newJobRequest({ packId: copy.id, options: {} })
    await openJob(database.db, garageId, shelf, request)
    expect(reduceJob(await store().jobs.events(request.id)).procedure!.packId).toBe(copy.id)
  })
})

describe('schools of the garage', () => {
  it('decide where a take-in leaves it open', async () => {
    await store().garage.changeSettings({
      schools: { 'crank-seal': 'renewed', bleed: 'vacuum', lift: 'lift', bearing: 'nonsense' },
    })
    const request = newJobRequest({ options: { slave: 'opened', bleed: 'two-person' } })
    await openJob(database.db, garageId, shelf, request)
    expect(reduceJob(await store().jobs.events(request.id)).procedure!.options).toMatchObject({
      'crank-seal': 'renewed',
      bleed: 'two-person',
      lift: 'stands',
      bearing: 'renewed',
    })
    await store().garage.changeSettings({ schools: {} })
  })
})

describe('switching the options of a job', () => {
  const switching = (change: Record<string, unknown>) => ({
    id: crypto.randomUUID(),
    options: { slave: 'opened' },
    circumstances: { helper: null, hours: null, arrivals: [], pins: [] },
    personId,
    deviceId: 'test',
    at: '2026-03-02T09:00:00.000Z',
    utcOffsetMinutes: 0,
    ...change,
  })
  it('plans on from the steps done, once per id', async () => {
    const request = newJobRequest({ options: { slave: 'aside' } })
    await openJob(database.db, garageId, shelf, request)
    const first = reduceJob(await store().jobs.events(request.id))
    const step = first.plan!.order.find(id => id === 'slave-travel')!
    await appendEvents(database.db, garageId, request.id, [
      incoming('reading-taken', { stepId: step, readingId: 'slave-travel', value: 14, unit: 'mm' }),
      incoming('step-done', { stepId: step }),
    ])
    const change = switching({})
    const answer = await switchJobOptions(database.db, garageId, shelf, request.id, change)
    expect(await switchJobOptions(database.db, garageId, shelf, request.id, change)).toEqual(answer)
    const state = reduceJob(await store().jobs.events(request.id))
    expect(state.procedure!.options.slave).toBe('opened')
    expect(state.plan!.order[0]).toBe('slave-travel')
    expect(state.plan!.order).toContain('bleed-clutch')
    expect(state.done).toHaveProperty('slave-travel')
    // Things off, read back from the database in another order, are the same things.
    for (const id of state.plan!.order.slice(1, 12)) {
      const now = reduceJob(await store().jobs.events(request.id))
      const readings = (now.procedure!.operations.find(entry => entry.id === id)?.readings ?? [])
        .filter(spec => spec.required)
        .map(spec =>
          incoming('reading-taken', {
            stepId: id,
            readingId: spec.id,
            value: spec.kind === 'number' ? (spec.low ?? 1) : spec.choices[0],
            unit: spec.kind === 'number' ? spec.unit : null,
          }),
        )
      await appendEvents(database.db, garageId, request.id, [...readings, incoming('step-done', { stepId: id })])
    }
    await switchJobOptions(
      database.db,
      garageId,
      shelf,
      request.id,
      switching({ options: { slave: 'opened', flywheel: 'new' } }),
    )
    const later = reduceJob(await store().jobs.events(request.id))
    expect(later.procedure!.options.flywheel).toBe('new')
    expect(Object.keys(later.done)).toHaveLength(12)
  })
  it('comes through however busily others write to the job', async () => {
    const request = newJobRequest({ options: { slave: 'aside' } })
    await openJob(database.db, garageId, shelf, request)
    let going = true
    let noted = 0
    const others = Array.from({ length: 4 }, async () => {
      while (going) {
        await appendEvents(database.db, garageId, request.id, [
          incoming('note-added', { stepId: null, text: `note ${++noted}` }),
        ])
      }
    })
    try {
      const { accepted } = await switchJobOptions(database.db, garageId, shelf, request.id, switching({}))
      expect(accepted).toHaveLength(1)
    } finally {
      going = false
      await Promise.all(others)
    }
    const state = reduceJob(await store().jobs.events(request.id))
    expect([state.procedure!.options.slave, state.notes.length]).toEqual(['opened', noted])
  })
  it('is refused when what is done has no place in the other way, and leaves the job as it was', async () => {
    const request = newJobRequest({ options: { slave: 'aside' } })
    await openJob(database.db, garageId, shelf, request)
    const log = async () => JSON.stringify(await store().jobs.events(request.id))
    // A step that only this way has, written down as done.
    const { plan } = reduceJob(await store().jobs.events(request.id))
    const until = plan!.order.indexOf('slave-aside')
    for (const stepId of plan!.order.slice(0, until + 1)) {
      const operation = reduceJob(await store().jobs.events(request.id)).procedure!.operations.find(
        entry => entry.id === stepId,
      )
      const readings = (operation?.readings ?? [])
        .filter(spec => spec.required)
        .map(spec =>
          incoming('reading-taken', {
            stepId,
            readingId: spec.id,
            value: spec.kind === 'number' ? (spec.low ?? 1) : spec.choices[0],
            unit: spec.kind === 'number' ? spec.unit : null,
          }),
        )
      await appendEvents(database.db, garageId, request.id, [...readings, incoming('step-done', { stepId })])
    }
    const before = await log()
    expect(await refusal(switchJobOptions(database.db, garageId, shelf, request.id, switching({})))).toMatchObject({
      status: 409,
      path: 'options',
    })
    expect(await log()).toBe(before)
  })
})
