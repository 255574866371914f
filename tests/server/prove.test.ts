import { execFileSync } from 'node:child_process'
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import Ajv2020 from 'ajv/dist/2020'
import ICAL from 'ical.js'
import Papa from 'papaparse'
import { describe, expect, it } from 'vitest'
import { jobCalendar, jobTable, jobTables, paperKinds, paperTitles } from '../../core/formats'
import type { exportJob } from '../../core/formats'
import { jobCosts, observedMinutes, reduceJob } from '../../core/job'
import { forGarage } from '../../server/db/for-garage'
import { newToken } from '../../server/who/secrets'
import { startApp } from '../support/app'
import { freshDatabase } from '../support/database'
import { garageId, incoming, personId } from '../support/requests'
import { handOver, oneServer } from '../support/one-server'

const { app, call, database, log, worked } = oneServer()

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
    const folder = mkdtempSync(join(tmpdir(), 'eldrin-paper-'))
    const file = join(folder, 'paper.pdf')
    writeFileSync(file, bytes)
    const told = (program: string, ...given: string[]) => execFileSync(program, given, { encoding: 'utf8' })
    const found = {
      text: told('pdftotext', '-layout', file, '-'),
      info: told('pdfinfo', file),
      fonts: told('pdffonts', file),
    }
    rmSync(folder, { recursive: true })
    return found
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
        const response = await fetch(`${app().base}/api/jobs/${jobId}/papers/${kind}?as=pdf&paper=${paper}`)
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
      Buffer.from(await (await fetch(`${app().base}/api/jobs/${jobId}/papers/hand-over?as=pdf`)).arrayBuffer()),
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
      Buffer.from(await (await fetch(`${app().base}/api/jobs/${jobId}/papers/invoice?as=pdf`)).arrayBuffer()),
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
    const pdf = await fetch(`${app().base}/api/jobs/${jobId}/papers/issued/${id}?as=pdf`)
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
    const jobId = await worked(null, {}, mechanic => {
      mechanic.write('note-added', { stepId: null, text: 'Left for the next one to see' })
      handOver(mechanic)
    })
    const token = newToken()
    const make = (days = 90, made = token) => call('POST', `/api/jobs/${jobId}/share`, { token: made, days })
    expect((await make()).status).toBe(200)
    expect((await make()).status).toBe(200)
    expect(((await call('GET', `/api/jobs/${jobId}/share`)).json() as { links: unknown[] }).links).toHaveLength(1)
    expect((await make(90, 'guessable')).status).toBe(422)
    const { status, text, headers } = await call('GET', `/shared/${token}`)
    expect(headers.get('cache-control')).toBe('no-store')
    expect(status).toBe(200)
    expect(JSON.parse(text)).toMatchObject({
      vehicle: { name: 'Silver Orbeline Pellibo' },
      breakIn: { writtenAs: '400 mi', report: { drivenKm: 190 } },
    })
    // Nothing of who wrote what, and no ids that lead elsewhere.
    expect(text).not.toContain(personId)
    expect(text).not.toContain(jobId)
    // Nor what was typed for the garage.
    expect(text).not.toContain('Left for the next one to see')
    expect((await call('GET', `/shared/${token}/calendar`)).text).toContain('BEGIN:VCALENDAR')
    expect((await call('GET', `/shared/${newToken()}`)).status).toBe(404)
    expect((await call('GET', '/shared/short')).status).toBe(404)
    await call('DELETE', `/api/jobs/${jobId}/share`)
    // What led somewhere is believed for a moment.
    await expect.poll(async () => (await call('GET', `/shared/${token}`)).status, { timeout: 10_000 }).toBe(404)
    const second = newToken()
    await make(1, second)
    expect((await call('GET', `/shared/${second}`)).status).toBe(200)
    await database().sql`update share_link set expires_at = ${new Date(Date.now() - 60_000)} where job_id = ${jobId}`
    await expect.poll(async () => (await call('GET', `/shared/${second}`)).status, { timeout: 10_000 }).toBe(404)
    const [{ kept } = { kept: '' }] = await database().sql<{
      kept: string
    }>`select string_agg(to_jsonb(share_link)::text, ' ') as kept from share_link`
    expect([kept.includes(token), kept.includes(second)]).toEqual([false, false])
  })
})
