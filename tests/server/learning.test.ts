import { describe, expect, it } from 'vitest'
import { reduceJob } from '../../core/job'
import type { JobState } from '../../core/job'
import type { Pack } from '../../core/packs'
import { demoVehicles } from '../../server/demo/garage'
import { incoming, newJobRequest, personId } from '../support/requests'
import { handOver, oneServer } from '../support/one-server'

const { call, log, worked } = oneServer()

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
    expect(answer.tables.map(table => table.id)).toEqual([
      'pedal',
      'no-pedal',
      'automatic',
      'dual-clutch',
      'transaxle',
      'two-stage',
    ])
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
    // Its pace goes into the next job as well, with what it is learned from.
    const jobs = (await call('GET', '/api/pace')).json() as { estimates: unknown[]; actualMinutes: number }[]
    expect(jobs.length).toBeGreaterThanOrEqual(2)
    expect(jobs.at(-1)!.estimates.length).toBeGreaterThan(30)
    const again = reduceJob(await log(await worked('undertray-off'))).procedure!
    expect(again.pace!.n).toBe(jobs.length)
    await call('DELETE', '/api/minutes/own')
    expect((await call('GET', '/api/minutes')).json()).toEqual([])
    expect((await call('GET', '/api/pace')).json()).toEqual([])
    expect(reduceJob(await log(await worked('undertray-off'))).procedure!.pace).toBeUndefined()
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
