import { execFileSync } from 'node:child_process'
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import Ajv2020 from 'ajv/dist/2020'
import ICAL from 'ical.js'
import Papa from 'papaparse'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { jobCalendar, jobTable, jobTables, paperKinds, paperTitles } from '../../core/formats'
import type { exportJob } from '../../core/formats'
import { jobCosts, observedMinutes, reduceJob } from '../../core/job'
import type { JobEvent, JobState } from '../../core/job'
import type { Pack } from '../../core/packs'
import { forGarage } from '../../server/db/for-garage'
import { demoVehicles } from '../../server/demo/garage'
import { DemoMechanic } from '../../server/demo/play'
import { appendEvents } from '../../server/jobs/append'
import { startApp } from '../support/app'
import type { RunningApp } from '../support/app'
import { freshDatabase } from '../support/database'
import type { TestDatabase } from '../support/database'
import { garageId, incoming, newJobRequest, personId } from '../support/requests'

let database: TestDatabase
let app: RunningApp
const call = async (method: string, path: string, body?: unknown, base = app.base) => {
  const response = await fetch(base + path, {
    method,
    headers: { 'content-type': 'application/json' },
    ...(body === undefined ? {} : { body: JSON.stringify(body) }),
  })
  const text = await response.text()
  return { status: response.status, text, headers: response.headers, json: () => JSON.parse(text) as never }
}
const store = () => forGarage(database.db, garageId)
const log = async (jobId: string) => store().jobs.events(jobId)

/** Opens a job and works it as far as a step, or to its end, and hands it over. */
async function worked(
  until: string | null,
  change: Record<string, unknown> = {},
  after: (mechanic: DemoMechanic) => void = () => {},
) {
  const request = newJobRequest({ odometerKm: null, ...change })
  expect((await call('POST', '/api/jobs', request)).status).toBe(201)
  const mechanic = new DemoMechanic(await log(request.id), personId, Date.parse(request.at))
  mechanic.workUntil(until)
  after(mechanic)
  await appendEvents(database.db, garageId, request.id, mechanic.events as JobEvent[])
  return request.id
}
const handOver = (mechanic: DemoMechanic) => {
  mechanic
    .checksMade()
    .write('break-in-set', { distanceKm: 640, writtenAs: '400 mi', source: 'Kit sheet', odometerKm: 1010 })
    .write('handed-over', { to: 'Somebody', odometerKm: 1010 }, 5)
    .write('odometer-read', { odometerKm: 1200 }, 60 * 48)
}

beforeAll(async () => {
  database = await freshDatabase()
  app = await startApp(database.url)
})
afterAll(async () => {
  await app?.kill()
  await database?.drop()
})

describe('a job as a file', () => {
  it('goes into an empty database as the same job, once, and is refused whole where one event may not stand', async () => {
    const jobId = await worked(null, {}, handOver)
    const file = (await call('GET', `/api/jobs/${jobId}/file`)).json() as ReturnType<typeof exportJob>
    const schema = JSON.parse(readFileSync('docs/formats/job.schema.json', 'utf8')) as object
    const validate = new Ajv2020({ strict: false, validateFormats: false }).compile(schema)
    expect(validate(file), JSON.stringify(validate.errors?.[0])).toBe(true)

    const other = await freshDatabase()
    const elsewhere = await startApp(other.url)
    try {
      const broken = {
        ...file,
        events: file.events.map((event, index) => (index === 40 ? { ...event, deviceTime: 'yesterday' } : event)),
      }
      const refused = await call('POST', '/api/imports', broken, elsewhere.base)
      expect(refused.status).toBe(422)
      expect(refused.text).toContain('events[40].deviceTime')
      const forged = {
        ...file,
        events: file.events
          .filter(event => !(event.type === 'step-done' && event.seq! < 60))
          .map((event, index) => ({ ...event, seq: index + 1 })),
      }
      expect((await call('POST', '/api/imports', forged, elsewhere.base)).status).toBe(422)
      expect((await call('GET', '/api/jobs', undefined, elsewhere.base)).json() as unknown[]).toEqual([])

      expect((await call('POST', '/api/imports', file, elsewhere.base)).json()).toMatchObject({
        jobId,
        added: file.events.length,
      })
      const there = forGarage(other.db, garageId).jobs
      expect(reduceJob(await there.events(jobId))).toEqual(reduceJob(await log(jobId)))
      expect((await call('POST', '/api/imports', file, elsewhere.base)).json()).toMatchObject({ added: 0 })
      expect(await there.events(jobId)).toHaveLength(file.events.length)
      const apart = {
        ...file,
        events: [...file.events.slice(0, -1), { ...file.events.at(-1)!, id: crypto.randomUUID() }],
      }
      expect((await call('POST', '/api/imports', apart, elsewhere.base)).status).toBe(409)
    } finally {
      await elsewhere.kill()
      await other.drop()
    }
  })
})

describe('tables and calendar', () => {
  it('read back equal in a reader of CSV, and parse as a calendar', async () => {
    const jobId = await worked(null, {}, handOver)
    const state = reduceJob(await log(jobId))
    for (const name of jobTables) {
      const { text, headers } = await call('GET', `/api/jobs/${jobId}/tables/${name}`)
      expect(headers.get('content-type')).toContain('text/csv')
      const { data, errors } = Papa.parse<string[]>(text)
      expect(errors).toEqual([])
      const { columns, rows } = jobTable(state, name)
      expect(data[0]).toEqual(columns)
      expect(data.slice(1)).toHaveLength(rows.length)
      const numbers = (row: (string | number | null)[]) => row.filter(cell => typeof cell === 'number').map(String)
      for (const [index, row] of rows.entries())
        for (const number of numbers(row)) expect(data[index + 1]).toContain(number)
    }
    expect((await call('GET', `/api/jobs/${jobId}/tables/secrets`)).status).toBe(404)

    const { text } = await call('GET', `/api/jobs/${jobId}/calendar`)
    const events = new ICAL.Component(ICAL.parse(text)).getAllSubcomponents('vevent').map(part => new ICAL.Event(part))
    const entries = jobCalendar(state)
    expect(entries.length).toBeGreaterThan(3)
    expect(events.map(event => event.uid)).toEqual(entries.map(entry => entry.uid))
    for (const [index, event] of events.entries()) {
      expect(event.startDate.toJSDate().getTime()).toBe(Math.floor(Date.parse(entries[index]!.from) / 1000) * 1000)
      expect(event.summary).toContain(state.vehicle!.name)
    }
  })
})

describe('papers', () => {
  const read = (bytes: Buffer) => {
    const file = join(mkdtempSync(join(tmpdir(), 'eldrin-paper-')), 'paper.pdf')
    writeFileSync(file, bytes)
    return {
      text: execFileSync('pdftotext', ['-layout', file, '-'], { encoding: 'utf8' }),
      info: execFileSync('pdfinfo', [file], { encoding: 'utf8' }),
      fonts: execFileSync('pdffonts', [file], { encoding: 'utf8' }),
    }
  }
  it('are PDF with our own fonts in them, and read back as what they say', async () => {
    const jobId = await worked(null, {}, handOver)
    await call('PATCH', '/api/garage', { taxPercent: 20, callOut: 35, partsMarginPercent: 10, labourPerHour: 60 })
    const state = reduceJob(await log(jobId))
    for (const kind of paperKinds) {
      for (const [paper, size] of [
        ['a4', '595.28 x 841.89'],
        ['letter', '612 x 792'],
      ]) {
        const response = await fetch(`${app.base}/api/jobs/${jobId}/papers/${kind}?as=pdf&paper=${paper}`)
        expect(response.headers.get('content-type')).toBe('application/pdf')
        const { text, info, fonts } = read(Buffer.from(await response.arrayBuffer()))
        expect(info).toContain(size)
        expect(text).toContain(paperTitles[kind])
        expect(text).toContain('Silver Orbeline Pellibo')
        expect(text.replace(/\s+/g, ' ')).toContain('go before anything written here')
        // Every font is embedded and can be read as text: yes, yes, yes.
        for (const line of fonts.trim().split('\n').slice(2))
          expect(line).toMatch(/AtkinsonHyperlegibleNext.*yes yes yes/)
      }
    }
    const { text } = read(
      Buffer.from(await (await fetch(`${app.base}/api/jobs/${jobId}/papers/hand-over?as=pdf`)).arrayBuffer()),
    )
    expect(text).toMatch(/Pressure plate bolts\. In\s/)
    expect(text).toMatch(/6\sat\stheir\sfigure\s+21\sN·m \(15\.5\slbf·ft\)\s+Kit sheet: Brindle clutch kit/)
    expect(text).toContain('Gentle stop-and-go use for 400 mi from 1,010 km')
    const costs = jobCosts(
      state,
      { labourPerHour: 60, taxPercent: 20, partsMarginPercent: 10, callOut: 35 },
      observedMinutes(await log(jobId), state),
    )
    const invoice = read(
      Buffer.from(await (await fetch(`${app.base}/api/jobs/${jobId}/papers/invoice?as=pdf`)).arrayBuffer()),
    ).text
    expect(invoice).toContain(
      new Intl.NumberFormat('en-US', { style: 'currency', currency: 'USD' }).format(costs.total),
    )
    expect(costs.total).toBeCloseTo((costs.estimatedMinutes + costs.partsTotal + 35) * 1.2, 6)
    expect((await call('GET', `/api/jobs/${jobId}/papers/poem`)).status).toBe(404)
    expect((await call('GET', `/api/jobs/${jobId}/papers/invoice?as=pdf&paper=napkin`)).status).toBe(400)
  })
})

describe('a paper that left the house', () => {
  const issue = (jobId: string, kind: string, corrects: string | null = null, id = crypto.randomUUID()) =>
    call('POST', `/api/jobs/${jobId}/papers`, {
      id,
      kind,
      corrects,
      personId,
      deviceId: 'test',
      at: '2026-03-02T10:00:00.000Z',
    })
  const read = async (jobId: string, paperId: string) =>
    (await call('GET', `/api/jobs/${jobId}/papers/issued/${paperId}`)).json() as {
      title: string
      facts: [string, string][]
      sections: unknown[]
    }

  it('is numbered and dated where the garage is, and says the same whatever rates and currency become', async () => {
    const jobId = await worked(null, {}, handOver)
    expect((await call('PATCH', '/api/garage', { timeZone: 'Pacific/Kiritimati' })).status).toBe(200)
    const id = crypto.randomUUID()
    const first = await issue(jobId, 'invoice', null, id)
    expect(first.status).toBe(201)
    expect((await issue(jobId, 'invoice', null, id)).json()).toEqual(first.json())
    const { number } = first.json() as { number: number }
    const before = await read(jobId, id)
    expect(before.title).toBe(`Invoice ${number}`)
    expect(Object.fromEntries(before.facts).Issued).toBe(
      new Intl.DateTimeFormat('en-GB', {
        timeZone: 'Pacific/Kiritimati',
        day: 'numeric',
        month: 'long',
        year: 'numeric',
      }).format(new Date()),
    )
    expect(
      (
        await call('PATCH', '/api/garage', {
          labourPerHour: 240,
          currency: 'EUR',
          taxPercent: 3,
          name: 'Another name',
          timeZone: 'UTC',
        })
      ).status,
    ).toBe(200)
    expect(await read(jobId, id)).toEqual(before)
    const draft = (await call('GET', `/api/jobs/${jobId}/papers/invoice`)).json() as typeof before
    expect(Object.fromEntries(draft.facts).Draft).toBeDefined()
    expect(draft.sections).not.toEqual(before.sections)

    const again = await issue(jobId, 'invoice')
    expect(again.status).toBe(409)
    const correction = crypto.randomUUID()
    expect((await issue(jobId, 'invoice', id, correction)).json()).toMatchObject({ number: number + 1 })
    expect(Object.fromEntries((await read(jobId, correction)).facts)['In place of']).toBe(`Invoice ${number}`)
    expect(await read(jobId, id)).toEqual(before)
    const pdf = await fetch(`${app.base}/api/jobs/${jobId}/papers/issued/${id}?as=pdf`)
    expect(pdf.headers.get('content-type')).toBe('application/pdf')
    expect(
      (await call('POST', `/api/jobs/${jobId}/events`, { events: [incoming('undone', { eventId: correction })] }))
        .status,
    ).toBe(409)
  })
  it('of this garage in a file bears no number that another has, nor one far ahead', async () => {
    const jobId = await worked(null)
    expect((await issue(jobId, 'estimate')).status).toBe(201)
    interface Told {
      id: string
      jobId: string
      type: string
      payload: { paperId?: string; number?: number }
    }
    const file = (await call('GET', `/api/jobs/${jobId}/file`)).json() as { events: Told[] }
    const moved = (number: (own: number) => number) => {
      const id = crypto.randomUUID()
      return {
        ...file,
        events: file.events.map(event => ({
          ...event,
          id: crypto.randomUUID(),
          jobId: id,
          payload:
            event.type === 'paper-issued'
              ? { ...event.payload, paperId: crypto.randomUUID(), number: number(event.payload.number!) }
              : event.payload,
        })),
      }
    }
    const at = `events[${file.events.length - 1}].payload.number`
    for (const [number, status] of [
      [(own: number) => own, 409],
      [(own: number) => own + 5000, 422],
    ] as const) {
      const answer = await call('POST', '/api/imports', moved(number))
      expect([answer.status, answer.text.includes(at)]).toEqual([status, true])
    }
    expect(
      (
        await call(
          'POST',
          '/api/imports',
          moved(own => own + 3),
        )
      ).status,
    ).toBe(200)
    expect((await issue(await worked(null), 'estimate')).json()).toMatchObject({
      number: file.events.at(-1)!.payload.number! + 4,
    })
  })
  it('has a number that no other has, also when several are issued at once; a hand-over only of a car that was handed over', async () => {
    const jobs = await Promise.all([worked(null), worked(null), worked(null)])
    const numbers = (await Promise.all(jobs.map(jobId => issue(jobId, 'estimate')))).map(
      answer => (answer.json() as { number: number }).number,
    )
    expect(new Set(numbers).size).toBe(3)
    expect((await issue(jobs[0]!, 'hand-over')).status).toBe(409)
    expect((await call('GET', `/api/jobs/${jobs[0]}/papers/issued/${crypto.randomUUID()}`)).status).toBe(404)
    expect((await call('PATCH', '/api/garage', { timeZone: 'Middle/Earth' })).status).toBe(422)
  })
})

describe('a link for the customer', () => {
  it('shows one job to who has it, cannot be guessed, and ends when it is revoked', async () => {
    const jobId = await worked(null, {}, handOver)
    const { token } = (await call('POST', `/api/jobs/${jobId}/share`)).json() as { token: string }
    expect(token.length).toBeGreaterThanOrEqual(32)
    expect(((await call('POST', `/api/jobs/${jobId}/share`)).json() as { token: string }).token).toBe(token)
    const { status, text } = await call('GET', `/api/shared/${token}`)
    expect(status).toBe(200)
    expect(JSON.parse(text)).toMatchObject({
      vehicle: { name: 'Silver Orbeline Pellibo' },
      breakIn: { writtenAs: '400 mi', report: { drivenKm: 190 } },
    })
    // Nothing of who wrote what, and no ids that lead elsewhere.
    expect(text).not.toContain(personId)
    expect(text).not.toContain(jobId)
    expect((await call('GET', `/api/shared/${token}/calendar`)).text).toContain('BEGIN:VCALENDAR')
    expect((await call('GET', `/api/shared/${token.slice(0, -1)}x`)).status).toBe(404)
    expect((await call('GET', '/api/shared/short')).status).toBe(404)
    await call('DELETE', `/api/jobs/${jobId}/share`)
    expect((await call('GET', `/api/shared/${token}`)).status).toBe(404)
    expect(((await call('POST', `/api/jobs/${jobId}/share`)).json() as { token: string }).token).not.toBe(token)
  })
})

describe('what the garage learns', () => {
  it('keeps causes that were found beside those that ship, until it is told to forget', async () => {
    const found = {
      tableId: 'pedal',
      causeId: 'oily-disc',
      title: 'Oil on the disc',
      text: 'Crank seal',
      findings: { slips: 'yes', smell: 'burnt' },
    }
    await worked('clutch-off', { findings: { tableId: 'pedal', outcomes: { smell: 'burnt' } } }, mechanic =>
      mechanic.write('cause-found', found),
    )
    const answer = (await call('GET', '/api/causes')).json() as { tables: { id: string }[]; cases: unknown[] }
    expect(answer.tables.map(table => table.id)).toEqual(['pedal', 'no-pedal'])
    expect(answer.cases).toEqual([{ tableId: 'pedal', cause: 'oily-disc', findings: found.findings }])
    expect((await call('DELETE', '/api/causes/own')).status).toBe(204)
    expect(((await call('GET', '/api/causes')).json() as { cases: unknown[] }).cases).toEqual([])
  })
  it('refuses findings that no table knows', async () => {
    const refused = await call(
      'POST',
      '/api/jobs',
      newJobRequest({ findings: { tableId: 'pedal', outcomes: { smell: 'roses' } } }),
    )
    expect(refused.status).toBe(422)
    expect(refused.text).toContain('findings.outcomes.smell')
  })
  it('takes its own minutes into the next plan, and says from how many times', async () => {
    const before = reduceJob(await log(await worked('undertray-off'))).procedure!.operations
    for (let job = 0; job < 2; job++) await worked(null, {}, handOver)
    const lines = (await call('GET', '/api/minutes')).json() as {
      operationId: string
      learned: { used: number; factor: number }
    }[]
    expect(lines.length).toBeGreaterThan(30)
    const after = reduceJob(await log(await worked('undertray-off'))).procedure!.operations
    const changed = after.filter(operation => operation.learned)
    expect(changed.length).toBeGreaterThan(30)
    // What was learned of a refit is used for it, and not for the strip it undoes.
    expect(changed.some(operation => operation.undoes)).toBe(true)
    for (const operation of changed.slice(0, 10))
      expect(operation.learned!.from).toEqual(
        before.find(entry => entry.id === operation.id)!.learned?.from ??
          before.find(entry => entry.id === operation.id)!.minutes,
      )
    await call('DELETE', '/api/minutes/own')
    expect((await call('GET', '/api/minutes')).json()).toEqual([])
  })
})

describe('an order that was good, and a car that comes back', () => {
  it('keeps the order of a job as a layout that plans the next one', async () => {
    const jobId = await worked('pull-box', { options: { slave: 'opened', 'crank-seal': 'renewed' } })
    const kept = (
      await call('POST', `/api/jobs/${jobId}/layout`, { title: 'Our way with the Pellibo', personId })
    ).json() as { id: string }
    const pack = (await call('GET', `/api/packs/${kept.id}`)).json() as Pack
    expect(pack.options.map(option => option.id)).toEqual(['helper'])
    const before = reduceJob(await log(jobId))
    const again = reduceJob(await log(await worked('pull-box', { packId: kept.id, options: {} })))
    const order = (state: JobState) =>
      state.plan!.order.filter(id => state.procedure!.operations.some(operation => operation.id === id))
    expect(order(again)).toEqual(order(before))
    expect((await call('POST', `/api/jobs/${jobId}/layout`, { title: ' ', personId })).status).toBe(422)
  })
  it('ties a comeback to its job and the cause found there', async () => {
    const found = { tableId: 'pedal', causeId: 'worn-disc', title: 'Worn disc', text: '', findings: {} }
    const first = await worked(null, {}, mechanic => {
      mechanic.write('cause-found', found)
      handOver(mechanic)
    })
    const request = newJobRequest({ comebackOf: first, odometerKm: null })
    expect((await call('POST', '/api/jobs', request)).status).toBe(201)
    expect(reduceJob(await log(request.id)).comeback).toMatchObject({ jobId: first, cause: 'Worn disc' })
    expect(
      (await call('POST', '/api/jobs', newJobRequest({ comebackOf: crypto.randomUUID(), odometerKm: null }))).text,
    ).toContain('comebackOf')
  })
  it('keeps the figures of kit sheets for the next job with that kit', async () => {
    await worked('cover-tighten', {}, mechanic =>
      mechanic.write('figure-named', {
        group: 'cover-bolts',
        torqueNm: 22,
        sourceKind: 'kit-sheet',
        reference: 'Thistle kit T-9, sheet',
      }),
    )
    await worked('cover-tighten', {}, mechanic =>
      mechanic.write('figure-named', {
        group: 'cover-bolts',
        torqueNm: 23,
        sourceKind: 'kit-sheet',
        reference: 'Thistle kit T-9, sheet',
      }),
    )
    const kits = (await call('GET', '/api/kits?group=cover-bolts')).json() as {
      reference: string
      figure: { torqueNm: number }
    }[]
    expect(kits.filter(kit => kit.reference.startsWith('Thistle')).map(kit => kit.figure.torqueNm)).toEqual([23])
    expect((await call('GET', '/api/kits?group=keel')).json()).toEqual([])
  })
  it('takes a figure over from another car of the same model, with its source', async () => {
    const [from] = demoVehicles
    const twin = { ...from!, id: crypto.randomUUID(), name: 'Pellibo, the other one', customer: 'Somebody' }
    await call('POST', '/api/vehicles', twin)
    const jobId = await worked('undertray-off')
    const named = await call('POST', `/api/jobs/${jobId}/events`, {
      events: [
        incoming('figure-named', {
          group: 'bell-bolts',
          torqueNm: 44,
          sourceKind: 'vehicle-book',
          reference: 'Pellibo book, page 9',
        }),
      ],
    })
    expect(named.status).toBe(200)
    const seen = (await call('GET', `/api/vehicles/${twin.id}`)).json() as {
      alike: { vehicleId: string; figure: { group: string } }[]
    }
    const ofBell = (entries: { figure: { group: string } }[]) =>
      entries.filter(entry => entry.figure.group === 'bell-bolts')
    expect(ofBell(seen.alike)).toMatchObject([{ vehicleId: from!.id, figure: { group: 'bell-bolts', torqueNm: 44 } }])
    expect(
      (await call('POST', `/api/vehicles/${twin.id}/figures`, { from: from!.id, group: 'bell-bolts', personId }))
        .status,
    ).toBe(201)
    const after = (await call('GET', `/api/vehicles/${twin.id}`)).json() as typeof seen
    expect(after).toMatchObject({ figures: [{ reference: 'Pellibo book, page 9, as on the Silver Orbeline Pellibo' }] })
    expect(ofBell(after.alike)).toEqual([])
    expect(
      (await call('POST', `/api/vehicles/${twin.id}/figures`, { from: from!.id, group: 'keel', personId })).status,
    ).toBe(422)
  })
})

describe('looking jobs up', () => {
  it('finds notes, customers and sources by whole words and by a word half typed', async () => {
    const jobId = await worked('undertray-off', {}, mechanic =>
      mechanic.write('note-added', { stepId: null, text: 'A rodent nest was packed into the bell' }),
    )
    const find = async (text: string) =>
      (await call('GET', `/api/search?q=${encodeURIComponent(text)}`)).json() as {
        summary: { jobId: string }
        snippet: string
      }[]
    expect((await find('rodent nest')).map(entry => entry.summary.jobId)).toEqual([jobId])
    expect((await find('rod'))[0]!.snippet).toContain('rodent')
    expect(await find('rodent unicorn')).toEqual([])
    expect(await find('!!! & | :*')).toEqual([])
    expect((await call('GET', `/api/search?q=${'x'.repeat(300)}`)).status).toBe(400)
    const { vehicle } = reduceJob(await log(jobId))
    expect(
      ((await call('GET', `/api/history?vehicle=${vehicle!.id}`)).json() as { jobId: string }[]).map(job => job.jobId),
    ).toContain(jobId)
    expect((await call('GET', '/api/history?vehicle=none')).status).toBe(400)
    expect((await call('GET', '/api/history?before=soon')).status).toBe(400)
  })
  it('offers on a car what was found in the way on another of its model, and forgets what was undone', async () => {
    const [from] = demoVehicles
    const twin = { ...from!, id: crypto.randomUUID(), model: 'Pellibo estate', name: 'The first estate' }
    const other = { ...twin, id: crypto.randomUUID(), name: 'The other estate' }
    for (const car of [twin, other]) await call('POST', '/api/vehicles', car)
    const jobId = await worked('undertray-off', { vehicleId: twin.id })
    const addedId = crypto.randomUUID()
    const step = {
      stepId: 'own-1',
      title: 'Take the bracket off',
      phase: 'strip',
      place: 'top',
      car: 'either',
      minutes: 9,
      tools: [],
      cautions: [],
      takesOff: [
        { id: 'own-1-thing', name: 'bracket', count: 2, state: 'off', isFastener: false },
        { id: 'own-1-bolts', name: 'bolts of the bracket', count: 3, state: 'off', isFastener: true },
      ],
      after: [],
      before: [],
      refit: { title: 'Put the bracket back', minutes: 9 },
      at: new Date().toISOString(),
      utcOffsetMinutes: 0,
    }
    const added = incoming('step-added', step, { id: addedId })
    expect((await call('POST', `/api/jobs/${jobId}/events`, { events: [added] })).status).toBe(200)
    const found = async () => ((await call('GET', `/api/vehicles/${other.id}`)).json() as { found: unknown[] }).found
    expect(await found()).toEqual([
      { name: 'bracket', state: 'off', count: 2, bolts: 3, minutes: 9, goesBack: true, jobs: 1 },
    ])
    const undo = incoming('undone', { eventId: addedId })
    expect((await call('POST', `/api/jobs/${jobId}/events`, { events: [undo] })).status).toBe(200)
    expect(await found()).toEqual([])
  })
})
