import { spawnSync } from 'node:child_process'
import { cpSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { startApp } from '../support/app'
import type { RunningApp } from '../support/app'
import { freshDatabase } from '../support/database'
import type { TestDatabase } from '../support/database'
import { packsFolder } from '../support/packs'
import { incoming, newJobRequest, personId } from '../support/requests'
import { coverAndPart } from '../support/small-pack'
import { call as ask, everythingIn } from '../support/wire'
import { writePack } from '../../contracts/write-pack'

let database: TestDatabase
let app: RunningApp
let jobId: string
beforeAll(async () => {
  database = await freshDatabase()
  app = await startApp(database.url)
  const request = newJobRequest()
  jobId = request.id
  expect((await call('POST', '/api/jobs', request)).status).toBe(201)
})
afterAll(async () => {
  await app.kill()
  await database.drop()
})

const call = (method: string, path: string, body?: unknown) => ask(app.base, method, path, body)
const everything = () => everythingIn(database)
const posting = (...events: unknown[]) => ({ events })
const ours = writePack(coverAndPart())
const circumstances = { helper: null, hours: null, arrivals: [], pins: [] }
const reordered = {
  circumstances,
  order: [],
  at: '2026-03-02T08:05:00.000Z',
  utcOffsetMinutes: 0,
  lowerBoundMinutes: 0,
  proven: false,
}
const switching = (change: Record<string, unknown>) => ({
  id: crypto.randomUUID(),
  options: {},
  circumstances,
  personId,
  deviceId: 'test',
  at: '2026-03-02T08:05:00.000Z',
  utcOffsetMinutes: 0,
  ...change,
})
const vehicle = {
  id: crypto.randomUUID(),
  name: 'A car',
  make: 'Make',
  model: 'Model',
  year: 2015,
  customer: 'Somebody',
  gears: ['1', 'R'],
}

describe('bad input is answered with path and reason and changes nothing', () => {
  const unknown = crypto.randomUUID()
  it.each<[string, string, () => unknown, number, string]>([
    ['POST', '/api/jobs', () => 'no json', 400, ''],
    ['POST', '/api/jobs', () => JSON.stringify({ filler: 'x'.repeat(1_100_000) }), 413, ''],
    ['POST', '/api/jobs', () => ({}), 422, 'id'],
    ['POST', '/api/jobs', () => newJobRequest({ complaint: { symptoms: [], text: '' } }), 422, 'complaint.symptoms'],
    [
      'POST',
      '/api/jobs',
      () => newJobRequest({ pumpTest: { result: 'rises', strokes: null } }),
      422,
      'pumpTest.strokes',
    ],
    ['POST', '/api/jobs', () => newJobRequest({ odometerKm: -5 }), 422, 'odometerKm'],
    ['POST', '/api/jobs', () => newJobRequest({ options: { lift: 'crane' } }), 422, 'options.lift'],
    ['POST', '/api/jobs', () => newJobRequest({ packId: 'none' }), 422, 'packId'],
    ['POST', '/api/jobs', () => newJobRequest({ vehicleId: unknown }), 422, 'vehicleId'],
    ['POST', '/api/vehicles', () => ({ ...vehicle, year: 1815 }), 422, 'year'],
    ['POST', '/api/vehicles', () => ({ ...vehicle, gears: ['1', '1'] }), 422, 'gears'],
    ['POST', '/api/vehicles', () => ({ ...vehicle, colour: 'red' }), 422, ''],
    ['PATCH', '/api/garage', () => ({ torqueUnit: 'ells' }), 422, 'torqueUnit'],
    ['PATCH', '/api/garage', () => ({}), 422, ''],
    ['GET', '/api/packs/none', () => undefined, 404, 'id'],
    ['GET', '/api/jobs/not-an-id/events', () => undefined, 400, 'id'],
    ['GET', `/api/jobs/${unknown}/events`, () => undefined, 404, 'id'],
    ['GET', `/api/jobs/${unknown}/stream`, () => undefined, 404, 'id'],
    ['GET', '/api/jobs/JOB/events?after=soon', () => undefined, 400, 'after'],
    [
      'POST',
      `/api/jobs/${unknown}/events`,
      () => posting(incoming('note-added', { stepId: null, text: 'x' })),
      404,
      'id',
    ],
    ['POST', '/api/jobs/JOB/events', () => posting(), 422, 'events'],
    ['POST', '/api/jobs/JOB/events', () => posting(incoming('job-opened', {})), 422, 'events[0].type'],
    ['POST', '/api/jobs/JOB/events', () => posting(incoming('plan-made', {})), 422, 'events[0].type'],
    [
      'POST',
      '/api/jobs/JOB/events',
      () => posting(incoming('note-added', { stepId: null, text: '  ' })),
      422,
      'events[0].payload.text',
    ],
    [
      'POST',
      '/api/jobs/JOB/events',
      () => posting(incoming('step-done', { stepId: 'nowhere' })),
      409,
      'events[0].payload.stepId',
    ],
    [
      'POST',
      '/api/jobs/JOB/events',
      () =>
        posting(incoming('note-added', { stepId: null, text: 'good' }), incoming('step-done', { stepId: 'pull-box' })),
      409,
      'events[1].payload.stepId',
    ],
    [
      'POST',
      '/api/jobs/JOB/events',
      () =>
        posting(
          incoming('figure-named', { group: 'cover-bolts', torqueNm: -3, sourceKind: 'kit-sheet', reference: 'Sheet' }),
        ),
      422,
      'events[0].payload.torqueNm',
    ],
    [
      'POST',
      '/api/jobs/JOB/events',
      () =>
        posting(
          incoming('figure-named', {
            group: 'cover-bolts',
            torqueNm: 20,
            sourceKind: 'kit-sheet',
            reference: 'Sheet',
            stages: [
              { kind: 'torque', torqueNm: 20 },
              { kind: 'angle', angleDeg: 900 },
            ],
          }),
        ),
      422,
      'events[0].payload.stages[1].angleDeg',
    ],
    [
      'POST',
      '/api/jobs/JOB/events',
      () =>
        posting(
          incoming('fastener-described', { group: 'cover-bolts', fastener: { thread: 'M8x7', propertyClass: '8.8' } }),
        ),
      409,
      'events[0].payload.fastener.thread',
    ],
    [
      'POST',
      '/api/jobs/JOB/events',
      () =>
        posting(
          incoming('fastener-described', {
            group: 'cover-bolts',
            fastener: { thread: 'M8', propertyClass: '8.8', engagementMm: -2 },
          }),
        ),
      422,
      'events[0].payload.fastener.engagementMm',
    ],
    [
      'POST',
      '/api/jobs/JOB/events',
      () => posting(incoming('bolt-placed', { group: 'bell-bolts', boltId: 'x', xMm: 9000, yMm: 0 })),
      422,
      'events[0].payload.xMm',
    ],
    [
      'POST',
      '/api/jobs/JOB/events',
      () => posting(incoming('bolts-out', { group: 'bell-bolts', boltIds: ['nobody'], condition: 'good' })),
      409,
      'events[0].payload.boltId',
    ],
    ['PUT', '/api/wrenches/not-an-id', () => ({}), 400, 'id'],
    [
      'PUT',
      `/api/wrenches/${unknown}`,
      () => ({ name: 'Wrench', minNm: 50, maxNm: 20, drive: '1/2', lengthMm: 400, calibratedOn: null }),
      422,
      'maxNm',
    ],
    [
      'PUT',
      `/api/wrenches/${unknown}`,
      () => ({ name: 'Wrench', minNm: 5, maxNm: 20, drive: '1/2', lengthMm: 400, calibratedOn: 'last year' }),
      422,
      'calibratedOn',
    ],
    ['DELETE', `/api/wrenches/${unknown}`, () => undefined, 404, 'id'],
    [
      'POST',
      '/api/jobs/JOB/events',
      () =>
        posting(
          incoming('figure-named', {
            group: 'cover-bolts',
            torqueNm: 2100,
            sourceKind: 'kit-sheet',
            reference: 'Sheet',
          }),
        ),
      409,
      'events[0].payload.torqueNm',
    ],
    [
      'POST',
      '/api/jobs/JOB/events',
      () => posting(incoming('step-done', { stepId: 'slave-travel' }, { deviceTime: 'yesterday' })),
      422,
      'events[0].deviceTime',
    ],
    [
      'POST',
      '/api/jobs/JOB/events',
      () => posting(incoming('handed-over', { to: 'Somebody', odometerKm: null })),
      409,
      'events[0].type',
    ],
    [
      'POST',
      '/api/jobs/JOB/events',
      () => posting(incoming('undone', { eventId: unknown })),
      409,
      'events[0].payload.eventId',
    ],
    ['GET', '/api/nothing', () => undefined, 404, '/api/nothing'],
    [
      'PATCH',
      '/api/garage',
      () => ({ hours: { fromMinute: 600, toMinute: 540, weekdays: [1] } }),
      422,
      'hours.toMinute',
    ],
    ['PATCH', '/api/garage', () => ({ latitude: 91 }), 422, 'latitude'],
    ['PATCH', '/api/garage', () => ({ labourPerHour: -1 }), 422, 'labourPerHour'],
    ['PATCH', '/api/garage', () => ({ currency: 'shells' }), 422, 'currency'],
    [
      'POST',
      '/api/jobs/JOB/events',
      () => posting(incoming('sheet-read', { sheetId: 'disc', values: {}, cleared: [] })),
      422,
      'events[0].payload.values',
    ],
    [
      'POST',
      '/api/jobs/JOB/events',
      () =>
        posting(
          incoming('sheet-read', {
            sheetId: 'disc',
            values: { thickness: { kind: 'points', entries: [{ entered: '7', value: 'seven' }] } },
            cleared: [],
          }),
        ),
      422,
      'events[0].payload.values.thickness.entries[0].value',
    ],
    [
      'POST',
      '/api/jobs/JOB/events',
      () =>
        posting(
          incoming('sheet-read', { sheetId: 'keel', values: { depth: { kind: 'text', text: 'deep' } }, cleared: [] }),
        ),
      409,
      'events[0].payload.sheetId',
    ],
    [
      'POST',
      '/api/jobs/JOB/events',
      () => posting(incoming('orientation-confirmed', { partId: 'disc' })),
      409,
      'events[0].payload.partId',
    ],
    [
      'POST',
      '/api/jobs/JOB/events',
      () => posting(incoming('old-part-gone', { partId: 'disc', where: 'thrown away' })),
      409,
      'events[0].payload.partId',
    ],
    [
      'POST',
      '/api/jobs/JOB/events',
      () =>
        posting(
          incoming('renewal-weighed', {
            partId: 'crank-seal',
            partCost: 10,
            minutesNow: null,
            minutesLater: null,
            chance: 1.4,
            comebackCost: 0,
          }),
        ),
      422,
      'events[0].payload.chance',
    ],
    [
      'POST',
      '/api/jobs/JOB/events',
      () =>
        posting(
          incoming('part-ordered', {
            orderId: crypto.randomUUID(),
            partId: 'keel',
            name: 'Keel',
            count: 1,
            priceEach: null,
            supplier: 'Yard',
            orderNo: null,
            arrivesAt: '2026-03-02T10:00:00.000Z',
          }),
        ),
      409,
      'events[0].payload.partId',
    ],
    ['POST', '/api/jobs/JOB/events', () => posting(incoming('promised', { at: 'soon' })), 422, 'events[0].payload.at'],
    [
      'POST',
      '/api/jobs/JOB/events',
      () => posting(incoming('pedal-judged', { stepId: 'bleed-clutch', feel: 'spongy' })),
      422,
      'events[0].payload.feel',
    ],
    [
      'POST',
      '/api/jobs/JOB/events',
      () => posting(incoming('pedal-judged', { stepId: 'bleed-clutch', feel: 'soft', lostMm: 900 })),
      422,
      'events[0].payload.lostMm',
    ],
    [
      'POST',
      '/api/jobs/JOB/events',
      () => posting(incoming('portion-moved', { stepId: 'bleed-clutch', ml: 0 })),
      422,
      'events[0].payload.ml',
    ],
    [
      'POST',
      '/api/jobs/JOB/events',
      () => posting(incoming('stroke-counted', { stepId: 'nowhere' })),
      409,
      'events[0].payload.stepId',
    ],
    [
      'POST',
      '/api/jobs/JOB/events',
      () => posting(incoming('fluid-bought', { stepId: 'bleed-clutch', bottles: 0, bottleMl: 500 })),
      422,
      'events[0].payload.bottles',
    ],
    ['GET', '/api/jobs/JOB/quotes', () => undefined, 503, 'supplier'],
    [
      'POST',
      '/api/jobs/JOB/orders',
      () => ({
        id: crypto.randomUUID(),
        partId: 'flywheel',
        count: 1,
        personId,
        deviceId: 'test',
        at: '2026-03-02T10:00:00.000Z',
      }),
      503,
      'supplier',
    ],
    ['POST', '/api/packs', () => ({ yaml: '', personId }), 422, 'yaml'],
    ['POST', '/api/packs', () => ({ yaml: 'id: [', personId }), 422, ''],
    ['POST', '/api/packs', () => ({ yaml: 'id: mine', personId }), 422, 'title'],
    [
      'POST',
      '/api/packs',
      () => ({ yaml: ours.replace('kind: access', 'kind: whim'), personId }),
      422,
      'modules[only].links[0].kind',
    ],
    [
      'POST',
      '/api/packs',
      () => ({ yaml: ours.replace('after: part-off', 'after: nowhere'), personId }),
      422,
      'modules[only].links[0]',
    ],
    ['POST', '/api/packs', () => ({ yaml: ours.replace('id: small', 'id: fwd-transverse'), personId }), 409, 'yaml.id'],
    ['POST', '/api/packs', () => ({ yaml: ours, personId: unknown }), 422, 'personId'],
    ['PUT', '/api/packs/fwd-transverse', () => ({ yaml: ours, revision: 1, personId }), 409, 'id'],
    ['PUT', '/api/packs/none', () => ({ yaml: ours, revision: 1, personId }), 404, 'id'],
    ['DELETE', '/api/packs/fwd-transverse', () => undefined, 409, 'id'],
    ['DELETE', '/api/packs/none', () => undefined, 404, 'id'],
    ['POST', '/api/packs/none/copies', () => ({ personId }), 404, 'id'],
    ['GET', '/api/packs/none/file', () => undefined, 404, 'id'],
    ['POST', '/api/jobs/JOB/options', () => switching({ options: { slave: 'welded' } }), 422, 'options.slave'],
    ['POST', '/api/jobs/JOB/options', () => switching({ options: { colour: 'red' } }), 422, 'options.colour'],
    ['POST', '/api/jobs/JOB/options', () => switching({ order: ['pull-box'] }), 409, 'order'],
    ['POST', '/api/jobs/JOB/options', () => switching({ personId: unknown }), 422, 'personId'],
    ['POST', `/api/jobs/${unknown}/options`, () => switching({}), 404, 'id'],
    [
      'POST',
      '/api/jobs/JOB/events',
      () => posting(incoming('plan-changed', { ...reordered, order: ['pull-box'] })),
      409,
      'events[0].payload.order',
    ],
    [
      'POST',
      '/api/jobs/JOB/events',
      () => posting(incoming('plan-changed', { ...reordered, utcOffsetMinutes: 9000 })),
      422,
      'events[0].payload.utcOffsetMinutes',
    ],
    ['POST', '/api/jobs/JOB/events', () => posting(incoming('options-switched', {})), 422, 'events[0].type'],
    ['DELETE', '/api/jobs/JOB/events', () => undefined, 404, '/api/jobs/JOB/events'],
  ])('%s %s', async (method, path, body, status, at) => {
    const before = await everything()
    const answer = await call(method, path.replace('JOB', jobId), body())
    expect(answer.status).toBe(status)
    const issue = answer.body.data!.issues![0]!
    expect(issue.path).toBe(at.replace('JOB', jobId))
    expect(issue.reason.length).toBeGreaterThan(5)
    expect(await everything()).toBe(before)
  })
})

it('does not start on a broken pack, and says file, path and reason', () => {
  const folder = mkdtempSync(join(tmpdir(), 'eldrin-broken-'))
  cpSync(packsFolder, folder, { recursive: true })
  writeFileSync(
    join(folder, 'modules', 'intake.yaml'),
    'id: intake\ntitle: Intake\noperations:\n  - { id: a, title: Do it, phase: strip, place: roof, car: either, minutes: [1, 2, 3] }\n',
  )
  const result = spawnSync(process.execPath, ['.output/server/index.mjs'], {
    encoding: 'utf8',
    timeout: 60_000,
    env: { ...process.env, DATABASE_URL: database.url, ELDRIN_PACKS: folder, NITRO_PORT: '0', NITRO_HOST: '127.0.0.1' },
  })
  rmSync(folder, { recursive: true })
  expect(result.status).toBe(1)
  expect(result.stderr).toContain('packs/modules/intake.yaml: operations[a].place: ')
})

describe('wrenches', () => {
  it('are kept, changed and removed', async () => {
    const id = crypto.randomUUID()
    const body = { name: 'Beam', minNm: 20, maxNm: 180, drive: '1/2', lengthMm: 420, calibratedOn: '2026-02-01' }
    expect(await call('PUT', `/api/wrenches/${id}`, body)).toMatchObject({ status: 200, body: { id, ...body } })
    expect((await call('PUT', `/api/wrenches/${id}`, { ...body, calibratedOn: null })).status).toBe(200)
    const list = (await call('GET', '/api/wrenches')).body as unknown as { id: string; calibratedOn: string | null }[]
    expect(list.find(wrench => wrench.id === id)).toMatchObject({ ...body, calibratedOn: null })
    expect((await fetch(`${app.base}/api/wrenches/${id}`, { method: 'DELETE' })).status).toBe(204)
    expect((await call('DELETE', `/api/wrenches/${id}`)).status).toBe(404)
  })
})
