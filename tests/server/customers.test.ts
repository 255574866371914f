import { describe, expect, it } from 'vitest'
import { request } from 'node:http'
import { demoVehicles } from '../../server/demo/garage'
import { newToken } from '../../server/who/secrets'
import { handOver, oneServer } from '../support/one-server'
import { garageId } from '../support/requests'

const HOST = 'car.example'
const { app, call, database, log, worked } = oneServer({ ELDRIN_CUSTOMERS_HOST: HOST })
/** A car that no other test works on. */
const car = demoVehicles[3]!
const CUSTOMER = car.customer

/** Asks under another name than the garage's own. */
const under = (host: string, path: string) =>
  new Promise<number>(resolve => {
    const { hostname, port } = new URL(app().base)
    request({ hostname, port, path, headers: { host } }, response => {
      response.resume()
      resolve(response.statusCode!)
    }).end()
  })

describe('the customers’ own name', () => {
  it('leads to their pages and to nothing else', async () => {
    const jobId = await worked('wheels-off')
    const token = newToken()
    await call('POST', `/api/jobs/${jobId}/share`, { token, days: 3 })
    const shares = (await call('GET', `/api/jobs/${jobId}/share`)).json() as { origin: string }
    expect(shares.origin).toBe(`https://${HOST}`)
    expect(await under(HOST, `/shared/${token}`)).toBe(200)
    expect(await under(HOST, `/s/${token}`)).toBe(200)
    for (const path of ['/api/garage', '/api/jobs', '/', `/jobs/${jobId}/work`, '/sign-in'])
      expect(await under(HOST, path), path).toBe(404)
    expect(await under('elsewhere.example', `/shared/${token}`)).toBe(421)
  })
  it('answers a hundred at once from what it has just read', async () => {
    const token = newToken()
    await call('POST', `/api/jobs/${await worked('wheels-off')}/share`, { token, days: 3 })
    const answers = await Promise.all(Array.from({ length: 100 }, () => call('GET', `/shared/${token}`)))
    expect(new Set(answers.map(({ status }) => status))).toEqual(new Set([200]))
  })
  it('is not guessed at: who tries on is slowed down, and nobody whose link leads somewhere', async () => {
    const token = newToken()
    await call('POST', `/api/jobs/${await worked('wheels-off')}/share`, { token, days: 3 })
    const statuses = []
    for (let tries = 0; tries < 42; tries++) statuses.push((await call('GET', `/shared/${newToken()}`)).status)
    expect([statuses[0], statuses.at(-1)]).toEqual([404, 429])
    expect((await call('GET', `/shared/${token}`)).status).toBe(200)
  })
})

describe('a customer who wants to be forgotten', () => {
  it('is given all that is kept of them, and leaves every record; what was done to the car stays', async () => {
    const jobId = await worked(null, { vehicleId: car.id }, mechanic => {
      mechanic.write('note-added', { stepId: null, text: `Rang ${CUSTOMER.toUpperCase()} about the flywheel` })
      handOver(mechanic)
    })
    const before = await log(jobId)
    const opened = before[0]!.payload as { vehicle: { id: string; customer: string } }
    const { id } = opened.vehicle
    expect(opened.vehicle.customer).toBe(CUSTOMER)
    await call('POST', `/api/jobs/${jobId}/papers`, {})
    const kept = (await call('GET', `/api/vehicles/${id}/customer`)).text
    for (const said of [CUSTOMER, 'about the flywheel', 'handed-over']) expect(kept).toContain(said)

    const answer = await call('DELETE', `/api/vehicles/${id}/customer`)
    expect([answer.status, answer.json()]).toEqual([200, { jobs: 1 }])
    const after = await log(jobId)
    expect(JSON.stringify(after).toLowerCase()).not.toContain(CUSTOMER.toLowerCase())
    expect(after.map(({ id: eventId, type, seq }) => [eventId, type, seq])).toEqual(
      before.map(({ id: eventId, type, seq }) => [eventId, type, seq]),
    )
    // Nothing else has changed, and what follows from the log follows from it still.
    const without = (events: unknown) =>
      JSON.stringify(events).replaceAll(new RegExp(`${CUSTOMER}|Somebody|\\(name erased\\)`, 'gi'), '-')
    expect(without(after)).toBe(without(before))
    for (const table of ['vehicle', 'job_summary', 'job_words', 'job_event']) {
      const { rows } = await database().pool.query(
        `select to_jsonb(t)::text as row from ${table} t where t::text ilike $1`,
        [`%${CUSTOMER}%`],
      )
      expect(rows, table).toEqual([])
    }
    expect(((await call('GET', `/api/search?q=${CUSTOMER.split(' ').at(-1)}`)).json() as unknown[]).length).toBe(0)
    // Every device hears that it has to let go of what it has kept.
    const { erased } = (await call('GET', '/api/garage')).json() as { erased: { jobId: string }[] }
    expect(erased.map(entry => entry.jobId)).toContain(jobId)
    // A second time there is nothing left.
    expect((await call('DELETE', `/api/vehicles/${id}/customer`)).json()).toEqual({ jobs: 0 })
    // It still goes out and in as a job file.
    expect((await call('GET', `/api/jobs/${jobId}/file`)).status).toBe(200)
  })
  it('leaves no way to change the log for anything else', async () => {
    const [{ id } = { id: '' }] = await database().sql<{ id: string }>`select id from vehicle limit 1`
    const { openDatabase } = await import('../../server/db/client')
    const plain = openDatabase(database().url, 1)
    try {
      await expect(plain.pool.query('select erase_customer($1, $2, $3)', [garageId, id, garageId])).rejects.toThrow(
        /not the garage that asks/,
      )
      await plain.pool.query("select set_config('eldrin.erasing', 'on', false)")
      await expect(plain.pool.query("update job_event set type = 'x'")).rejects.toThrow(/permission denied/)
    } finally {
      await plain.close()
    }
  })
})
