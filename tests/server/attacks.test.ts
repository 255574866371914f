import { request } from 'node:http'
import { connect } from 'node:net'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { writePack } from '../../contracts/write-pack'
import { newToken } from '../../server/who/secrets'
import { fuzz } from '../drills/fuzz'
import { openJobs, pause } from '../drills/devices'
import { startApp } from '../support/app'
import type { RunningApp } from '../support/app'
import { startAppWithSupplier } from '../support/app-with-supplier'
import type { TestDatabase } from '../support/database'
import { incoming, newJobRequest, personId } from '../support/requests'
import { coverAndPart } from '../support/small-pack'

let database: TestDatabase
let app: RunningApp
let end: () => Promise<void>
let jobId: string
let supplierUrl: string
beforeAll(async () => {
  ;({ database, app, supplierUrl, end } = await startAppWithSupplier({ env: { ELDRIN_CHECK_SECONDS: '2' } }))
  ;[jobId] = (await openJobs(app.base, 1)) as [string]
})
afterAll(() => end())

const send = (
  method: string,
  path: string,
  body?: unknown,
  headers: Record<string, string> = { 'content-type': 'application/json' },
) =>
  fetch(app.base + path, {
    method,
    headers,
    ...(body === undefined ? {} : { body: typeof body === 'string' ? body : JSON.stringify(body) }),
  })
const issueOf = async (response: Response) =>
  ((await response.json()) as { data: { issues: { path: string; reason: string }[] } }).data.issues[0]!
const note = (text: string, change: object = {}) => ({
  events: [incoming('note-added', { stepId: null, text }, change as never)],
})

/** How often somebody else is answered something small while something large is going on; `npm run fuzz` measures how long they wait. */
async function othersAnswered(during: () => Promise<unknown>): Promise<number> {
  let count = 0
  let going = true
  const watcher = (async () => {
    while (going) {
      await (await send('GET', '/api/clock')).arrayBuffer()
      if (going) count++
      await pause(5)
    }
  })()
  await during()
  going = false
  await watcher
  return count
}

describe('one request stops nobody', () => {
  it.each([
    ['57 bytes of YAML', '? '.repeat(28)],
    ['forty thousand plain keys', Array.from({ length: 40_000 }, (_, index) => `key${index}`).join('\n')],
  ])('%s are given up after two seconds with a sentence', async (_name, yaml) => {
    let answer: Response | undefined
    const answered = await othersAnswered(async () => {
      answer = await send('POST', '/api/packs', { yaml, personId })
    })
    expect(answer!.status).toBe(422)
    expect((await issueOf(answer!)).reason).toMatch(/longer than 2 seconds|more than 256 MB|YAML|line \d/)
    // A block of the one thread that answers lets nobody through until it is over.
    expect(answered).toBeGreaterThan(5)
  })
  it('a layout that takes all memory, again and again, takes nothing from the server', async () => {
    for (let time = 0; time < 5; time++)
      expect((await send('POST', '/api/packs', { yaml: `${'? '.repeat(26 + time)}`, personId })).status).toBe(422)
    expect((await send('GET', '/health/ready')).status).toBe(200)
    expect((await send('POST', '/api/packs', { yaml: writePack(coverAndPart()), personId })).status).toBe(201)
  })
  it('an import with a billion bolts is refused at its schema', async () => {
    const file = (await (await send('GET', `/api/jobs/${jobId}/file`)).json()) as {
      events: { type: string; payload: { procedure?: { groups: { count: number }[] } } }[]
    }
    file.events.find(event => event.type === 'plan-made')!.payload.procedure!.groups[0]!.count = 1e9
    const answer = await send('POST', '/api/imports', file)
    expect([answer.status, (await issueOf(answer)).path]).toEqual([422, 'events[1].payload.procedure.groups[0].count'])
  })
  it('a layout with work that never ends is refused at its schema', async () => {
    const yaml = writePack(coverAndPart())
    for (const endless of ['1e308', '.inf'].map(most =>
      yaml.replace('minutes: [ 5, 10, 15 ]', `minutes: [ 5, 10, ${most} ]`),
    )) {
      expect(endless).not.toBe(yaml)
      const answer = await send('POST', '/api/packs', { yaml: endless, personId })
      expect([answer.status, (await issueOf(answer)).path]).toEqual([422, expect.stringContaining('minutes')])
    }
  })
  it('a posting of a hundred notes, each taken back, holds up nobody', async () => {
    const [id] = (await openJobs(app.base, 1)) as [string]
    const events = Array.from(
      { length: 100 },
      (_, index) => incoming('note-added', { stepId: null, text: `note ${index}` }) as { id: string },
    ).flatMap(event => [event, incoming('undone', { eventId: event.id })])
    let status = 0
    const answered = await othersAnswered(async () => {
      status = (await send('POST', `/api/jobs/${id}/events`, { events })).status
    })
    expect(status).toBe(200)
    // Whoever is held up is answered once, before it begins.
    expect(answered).toBeGreaterThan(2)
  })
  it('a body is cut while it streams', async () => {
    const { port } = new URL(app.base)
    const sent = await new Promise<number>(resolve => {
      let written = 0
      const line = connect(Number(port), '127.0.0.1', () => {
        line.write(
          `POST /api/jobs/${jobId}/events HTTP/1.1\r\nhost: 127.0.0.1:${port}\r\ncontent-type: application/json\r\ntransfer-encoding: chunked\r\n\r\n`,
        )
        const chunk = Buffer.alloc(1_000_000, 'x')
        const more = () => {
          while (written < 300 && !line.destroyed) {
            written++
            if (
              !line.write(Buffer.concat([Buffer.from(`${chunk.length.toString(16)}\r\n`), chunk, Buffer.from('\r\n')]))
            )
              return void line.once('drain', () => setTimeout(more, 20))
          }
        }
        more()
      })
      line.on('data', () => {})
      line.on('error', () => {})
      line.on('close', () => resolve(written))
    })
    expect(sent).toBeLessThan(300)
    const announced = await new Promise<number>(resolve => {
      const asked = request(
        {
          port,
          host: '127.0.0.1',
          method: 'POST',
          path: '/api/imports',
          headers: { 'content-type': 'application/json', 'content-length': 300_000_000 },
        },
        response => resolve(response.statusCode!),
      )
      asked.on('error', () => {})
      asked.write('{')
    })
    expect(announced).toBe(413)
  })
})

describe('what the records cannot hold is refused with path and reason', () => {
  it.each<[string, string, string, unknown, number]>([
    ['a zero sign in a note', 'POST', '/api/jobs/JOB/events', note('zero \0 sign'), 422],
    ['half a sign', 'POST', '/api/jobs/JOB/events', note('half \ud83d'), 422],
    ['the year 0', 'POST', '/api/jobs/JOB/events', note('old', { deviceTime: '0000-01-01T00:00:00.000Z' }), 422],
    ['a number beyond all events', 'GET', '/api/jobs/JOB/events?after=1e300', undefined, 400],
    ['a number beyond all jobs', 'GET', '/api/history?before=2147483648', undefined, 400],
    ['a zero sign in an address', 'GET', '/api/packs/%00', undefined, 400],
    ['an address that is no text', 'GET', '/api/packs/%E0%A4%A', undefined, 400],
    [
      'a customer with a zero sign',
      'POST',
      '/api/vehicles',
      { id: crypto.randomUUID(), name: 'x', make: 'x', model: 'x', year: 2015, customer: '\0', gears: ['1', 'R'] },
      422,
    ],
  ])('%s', async (_name, method, path, body, status) => {
    const answer = await send(method, path.replace('JOB', jobId), body)
    expect(answer.status).toBe(status)
    const { reason } = await issueOf(answer)
    expect(reason.length).toBeGreaterThan(10)
  })
  it('one event id into two jobs at once: one has it, the other is told', async () => {
    const [one, two] = (await openJobs(app.base, 2)) as [string, string]
    for (let race = 0; race < 10; race++) {
      const id = crypto.randomUUID()
      const answers = await Promise.all(
        [one, two].map(job => send('POST', `/api/jobs/${job}/events`, note('race', { id }))),
      )
      expect(answers.map(answer => answer.status).sort()).toEqual([200, 409])
    }
  })
})

describe('a job that comes as a file', () => {
  it('gets the next number of this garage, keeps its own beside it, and brings only the people who signed', async () => {
    const file = (await (await send('GET', `/api/jobs/${jobId}/file`)).json()) as {
      people: { id: string; name: string }[]
      events: { id: string; jobId: string; type: string; payload: { number?: number } }[]
    }
    const moved = {
      ...file,
      people: [
        ...file.people,
        ...Array.from({ length: 60 }, (_, index) => ({ id: crypto.randomUUID(), name: `Nobody ${index}` })),
      ],
    }
    const id = crypto.randomUUID()
    moved.events = file.events.map(event => ({
      ...event,
      id: crypto.randomUUID(),
      jobId: id,
      payload: event.type === 'job-opened' ? { ...event.payload, number: 9_999_999 } : event.payload,
    }))
    const people = async () =>
      ((await (await send('GET', '/api/garage')).json()) as { people: unknown[] }).people.length
    const before = await people()
    const taken = await send('POST', '/api/imports', moved)
    expect(taken.status, await taken.clone().text()).toBe(200)
    const { number } = (await taken.json()) as { number: number }
    expect(number).toBeLessThan(1000)
    expect(await people()).toBe(before)
    const events = (await (await send('GET', `/api/jobs/${id}/events`)).json()) as { payload: object }[]
    expect(events[0]!.payload).toMatchObject({ number, numberThere: 9_999_999 })
    expect((await send('POST', '/api/jobs', newJobRequest({ odometerKm: null }))).status).toBe(201)
    const beyond = {
      ...moved,
      events: moved.events.map(event =>
        event.type === 'job-opened' ? { ...event, payload: { ...event.payload, number: 2_147_483_647 } } : event,
      ),
    }
    expect((await send('POST', '/api/imports', beyond)).status).toBe(422)
  })
})

it('a cell that a spreadsheet would run stays text', async () => {
  const group = (
    (await (await send('GET', `/api/jobs/${jobId}/events`)).json()) as {
      type: string
      payload: { procedure?: { groups: { id: string; board?: { places: { id: string }[] } }[] } }
    }[]
  )
    .find(event => event.type === 'plan-made')!
    .payload.procedure!.groups.find(each => each.board)!
  const described = await send('POST', `/api/jobs/${jobId}/events`, {
    events: [
      incoming('bolt-described', {
        group: group.id,
        boltId: group.board!.places[0]!.id,
        details: { note: '=HYPERLINK("http://elsewhere.example")' },
        condition: null,
      }),
    ],
  })
  expect(described.status, await described.clone().text()).toBe(200)
  const csv = await (await send('GET', `/api/jobs/${jobId}/tables/bolts`)).text()
  expect(csv).toContain("'=HYPERLINK")
  expect(csv).not.toMatch(/(^|,|")=HYPERLINK/m)
})

it('a phone that is thirty days slow works minutes, not weeks, and both times are kept', async () => {
  const [id] = (await openJobs(app.base, 1)) as [string]
  const [, made] = (await (await send('GET', `/api/jobs/${id}/events`)).json()) as {
    payload: { plan?: { order: string[] } }
  }[]
  const stepId = made!.payload.plan!.order[0]!
  const slow = (ms: number) => new Date(Date.now() - 30 * 86_400_000 + ms).toISOString()
  const opened = newJobRequest({ odometerKm: null, at: slow(0) })
  expect((await send('POST', '/api/jobs', opened)).status).toBe(201)
  const [first] = (await (await send('GET', `/api/jobs/${opened.id}/events`)).json()) as {
    deviceTime: string
    saidAt?: string
  }[]
  expect(Math.abs(Date.parse(first!.deviceTime) - Date.now())).toBeLessThan(120_000)
  expect(first!.saidAt).toBe(opened.at)
  const started = await send('POST', `/api/jobs/${id}/events`, {
    events: [incoming('timer-started', { stepId }, { deviceTime: slow(-60_000) } as never)],
    sentAt: slow(0),
  })
  expect(started.status).toBe(200)
  expect(
    (
      await send('POST', `/api/jobs/${id}/events`, {
        events: [incoming('timer-stopped', { stepId }, { deviceTime: new Date().toISOString() } as never)],
        sentAt: new Date().toISOString(),
      })
    ).status,
  ).toBe(200)
  const events = (await (await send('GET', `/api/jobs/${id}/events?after=2`)).json()) as {
    type: string
    deviceTime: string
    saidAt?: string
  }[]
  const [begun, ended] = events.filter(event => event.type.startsWith('timer-'))
  expect(Math.abs(Date.parse(begun!.deviceTime) - Date.now())).toBeLessThan(120_000)
  expect(Date.now() - Date.parse(begun!.saidAt!)).toBeGreaterThan(29 * 86_400_000)
  expect(ended!.saidAt).toBeUndefined()
})

it('links asked for at once are one', async () => {
  const token = newToken()
  const asked = await Promise.all(
    Array.from({ length: 4 }, () => send('POST', `/api/jobs/${jobId}/share`, { token, days: 30 })),
  )
  expect(asked.map(({ status }) => status)).toEqual([200, 200, 200, 200])
  const { links } = (await (await send('GET', `/api/jobs/${jobId}/share`)).json()) as { links: unknown[] }
  expect(links).toHaveLength(1)
})

it('lives through requests that are wrong in every way (short form of npm run fuzz)', async () => {
  const closed = await startApp(database.url, undefined, {
    ELDRIN_CHECK_SECONDS: '2',
    ELDRIN_DEMO: '',
    ELDRIN_SUPPLIER_URL: supplierUrl,
  })
  const report = await fuzz(closed, database, { requests: 2_500, seed: 15 }).finally(closed.kill)
  expect(report.examples).toEqual([])
  expect(report).toMatchObject({ broken: 0, halfWritten: 0 })
  expect(report.requests).toBeGreaterThanOrEqual(2_500)
  // What came through is no layout of anybody's, and the next good request is served.
  expect((await send('POST', '/api/packs', { yaml: writePack(coverAndPart()), personId })).status).toBeLessThan(500)
  expect((await send('POST', `/api/jobs/${jobId}/events`, note('still good'))).status).toBe(200)
})
