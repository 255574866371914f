import { execFile } from 'node:child_process'
import { cpSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { describe, expect, it } from 'vitest'
import { oneServer } from '../support/one-server'
import { packsFolder } from '../support/packs'
import { refuses } from '../support/refuses'
import { incoming, newJobRequest, personId } from '../support/requests'
import { coverAndPart } from '../support/small-pack'
import { call } from '../support/wire'
import { writePack } from '../../contracts/write-pack'

const server = oneServer()
const unknown = crypto.randomUUID()
const ours = writePack(coverAndPart())
const switching = (change: Record<string, unknown>) => ({
  id: crypto.randomUUID(),
  options: {},
  circumstances: { helper: null, hours: null, arrivals: [], pins: [] },
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

refuses(server, [
  ['POST', '/api/jobs', () => 'no json', 400, ''],
  ['POST', '/api/jobs', () => JSON.stringify({ filler: 'x'.repeat(1_100_000) }), 413, ''],
  ['POST', '/api/jobs', () => ({}), 422, 'id'],
  ['POST', '/api/jobs', () => newJobRequest({ complaint: { symptoms: [], text: '' } }), 422, 'complaint.symptoms'],
  ['POST', '/api/jobs', () => newJobRequest({ pumpTest: { result: 'rises', strokes: null } }), 422, 'pumpTest.strokes'],
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
    () => ({ events: [incoming('note-added', { stepId: null, text: 'x' })] }),
    404,
    'id',
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
  ['GET', '/api/nothing', () => undefined, 404, '/api/nothing'],
  ['PATCH', '/api/garage', () => ({ hours: { fromMinute: 600, toMinute: 540, weekdays: [1] } }), 422, 'hours.toMinute'],
  ['PATCH', '/api/garage', () => ({ latitude: 91 }), 422, 'latitude'],
  ['PATCH', '/api/garage', () => ({ labourPerHour: -1 }), 422, 'labourPerHour'],
  ['PATCH', '/api/garage', () => ({ currency: 'shells' }), 422, 'currency'],
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
  ['DELETE', '/api/jobs/JOB/events', () => undefined, 404, '/api/jobs/JOB/events'],
])

it('does not start on a broken pack, and says file, path and reason', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'eldrin-broken-'))
  cpSync(packsFolder, folder, { recursive: true })
  writeFileSync(
    join(folder, 'modules', 'intake.yaml'),
    'id: intake\ntitle: Intake\noperations:\n  - { id: a, title: Do it, phase: strip, place: roof, car: either, minutes: [1, 2, 3] }\n',
  )
  const env = {
    ...process.env,
    DATABASE_URL: server.database().url,
    ELDRIN_PACKS: folder,
    NITRO_PORT: '0',
    NITRO_HOST: '127.0.0.1',
  }
  const { code, stderr } = await new Promise<{ code: unknown; stderr: string }>(resolve =>
    execFile(process.execPath, ['.output/server/index.mjs'], { timeout: 60_000, env }, (error, _out, stderr) =>
      resolve({ code: error?.code, stderr }),
    ),
  )
  rmSync(folder, { recursive: true })
  expect(code).toBe(1)
  expect(stderr).toContain('packs/modules/intake.yaml: operations[a].place: ')
})

describe('wrenches', () => {
  it('are kept, changed and removed', async () => {
    const id = crypto.randomUUID()
    const body = { name: 'Beam', minNm: 20, maxNm: 180, drive: '1/2', lengthMm: 420, calibratedOn: '2026-02-01' }
    expect(await call(server.app().base, 'PUT', `/api/wrenches/${id}`, body)).toMatchObject({
      status: 200,
      body: { id, ...body },
    })
    expect((await call(server.app().base, 'PUT', `/api/wrenches/${id}`, { ...body, calibratedOn: null })).status).toBe(
      200,
    )
    const list = (await call(server.app().base, 'GET', '/api/wrenches')).body as unknown as {
      id: string
      calibratedOn: string | null
    }[]
    expect(list.find(wrench => wrench.id === id)).toMatchObject({ ...body, calibratedOn: null })
    expect((await fetch(`${server.app().base}/api/wrenches/${id}`, { method: 'DELETE' })).status).toBe(204)
    expect((await call(server.app().base, 'DELETE', `/api/wrenches/${id}`)).status).toBe(404)
  })
})
