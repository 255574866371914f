import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { reduceJob } from '../../core/job'
import { forGarage } from '../../server/db/for-garage'
import { watchOrders } from '../../server/order-watch'
import { httpSupplier } from '../../server/supplier/http-supplier'
import { SupplierError } from '../../server/supplier/supplier'
import type { RunningApp } from '../support/app'
import { startAppWithSupplier } from '../support/app-with-supplier'
import type { AppWithSupplier } from '../support/app-with-supplier'
import type { TestDatabase } from '../support/database'
import { garageId, newJobRequest, personId } from '../support/requests'

let database: TestDatabase
let supplier: AppWithSupplier['supplier']
let app: RunningApp
let end: () => Promise<void>
let jobId: string
beforeAll(async () => {
  ;({ database, supplier, app, end } = await startAppWithSupplier())
  const request = newJobRequest({ options: { slave: 'opened', flywheel: 'new' } })
  jobId = request.id
  await call('POST', '/api/jobs', request)
})
afterAll(() => end())

interface Answer<T> {
  status: number
  body: T & { data?: { issues?: { path: string; reason: string }[] } }
}
async function call<T = Record<string, unknown>>(method: string, path: string, body?: unknown): Promise<Answer<T>> {
  const response = await fetch(app.base + path, {
    method,
    ...(body ? { body: JSON.stringify(body) } : {}),
    headers: { 'content-type': 'application/json' },
  })
  return { status: response.status, body: (await response.json()) as Answer<T>['body'] }
}
const hand = (path: string, body: object = {}) =>
  fetch(`http://127.0.0.1:${supplier.port}/hand/${path}`, { method: 'POST', body: JSON.stringify(body) })
const state = async () => reduceJob(await forGarage(database.db, garageId).jobs.events(jobId))
const ordering = (partId: string, id = crypto.randomUUID()) => ({
  id,
  partId,
  count: 1,
  personId,
  deviceId: 'test',
  at: new Date().toISOString(),
})
const line = async () =>
  (await call<{ jobId: string; dueParts: { at: string }[] }[]>('GET', '/api/jobs')).body.find(
    entry => entry.jobId === jobId,
  )!
const ask = <T>(question: (of: ReturnType<typeof httpSupplier>) => Promise<T>) =>
  question(httpSupplier(`http://127.0.0.1:${supplier.port}/`))

describe('the parts supplier', () => {
  it('quotes every part of the job that it sells, the same for the same car', async () => {
    const [first, again] = [
      await call<{ quotes: { partId: string; priceEach: number; arrivesAt: string }[] }>(
        'GET',
        `/api/jobs/${jobId}/quotes`,
      ),
      await call<{ quotes: unknown[] }>('GET', `/api/jobs/${jobId}/quotes`),
    ]
    expect(first.status).toBe(200)
    expect(again.body.quotes).toEqual(first.body.quotes)
    const { procedure } = await state()
    const quoted = new Set(first.body.quotes.map(quote => quote.partId))
    for (const part of procedure!.parts) expect(quoted.has(part.id), part.id).toBe(true)
    for (const part of procedure!.bench.reachable) expect(quoted.has(part.part), part.part).toBe(true)
  })
  it('takes an order once, however often it is asked, and the day holds in plan and Yard', async () => {
    const request = ordering('flywheel')
    const [first, again] = [
      await call<{ accepted: unknown }>('POST', `/api/jobs/${jobId}/orders`, request),
      await call<{ accepted: unknown }>('POST', `/api/jobs/${jobId}/orders`, request),
    ]
    expect(first.status).toBe(200)
    expect(again.body.accepted).toEqual(first.body.accepted)
    const now = await state()
    expect(now.orders).toMatchObject([{ partId: 'flywheel', count: 1 }])
    expect(now.circumstances.arrivals).toEqual([{ partId: 'flywheel', at: now.orders[0]!.arrivesAt }])
    expect((await line()).dueParts).toMatchObject([{ at: now.orders[0]!.arrivesAt }])
    const other = await call('POST', `/api/jobs/${jobId}/orders`, ordering('flywheel'))
    expect([other.status, other.body.data?.issues?.[0]?.path]).toEqual([409, 'partId'])
  })
  it('tells of another day, which moves the job without anybody looking', async () => {
    const before = (await state()).orders[0]!
    await hand(`orders/${before.orderNo}/later`)
    expect(await watchOrders(database.db, ask)).toBe(1)
    const after = await state()
    expect(Date.parse(after.orders[0]!.arrivesAt) - Date.parse(before.arrivesAt)).toBe(86_400_000)
    expect(after.orders[0]!.moves).toMatchObject([{ because: 'The maker is late.' }])
    expect((await line()).dueParts).toMatchObject([{ at: after.orders[0]!.arrivesAt }])
    expect(await watchOrders(database.db, ask)).toBe(0)
  })
  it('asks in one process only while another is at it', async () => {
    let other: number | undefined
    const one = await watchOrders(database.db, async question => {
      other = await watchOrders(database.db, () => {
        throw new Error('two at once')
      })
      return ask(question)
    })
    expect([one, other]).toEqual([0, 0])
  })
  it('says when it is delivered, and then nobody asks after it any more', async () => {
    await hand(`orders/${(await state()).orders[0]!.orderNo}/delivered`)
    expect((await call<{ changed: number }>('POST', `/api/jobs/${jobId}/orders/check`)).body.changed).toBe(1)
    expect((await state()).orders[0]!.cameAt).not.toBeNull()
    expect((await state()).circumstances.arrivals).toEqual([])
    expect(await database.sql`select * from open_order`).toHaveLength(0)
  })
  it('down, it is said so and told by the log, and nothing is on order; a watch lives through it', async () => {
    const partId = (await state()).procedure!.parts.find(part => part.id !== 'flywheel')!.id
    await call('POST', `/api/jobs/${jobId}/orders`, ordering(partId))
    const before = (await state()).lastSeq
    await hand('mood', { mood: 'down' })
    const refused = await call('GET', `/api/jobs/${jobId}/quotes`)
    expect([refused.status, refused.body.data?.issues?.[0]]).toEqual([
      503,
      { path: 'supplier', reason: 'The supplier says: We are closed for stock-taking.' },
    ])
    expect((await call('POST', `/api/jobs/${jobId}/orders`, ordering('clutch-kit'))).status).toBe(503)
    expect((await call('POST', `/api/jobs/${jobId}/orders/check`)).status).toBe(503)
    const after = await state()
    expect(after.lastSeq).toBe(before + 2)
    expect(after.askedOrders).toMatchObject([
      { partId: 'clutch-kit', failed: 'The supplier says: We are closed for stock-taking.' },
    ])
    expect(after.orders.map(order => order.partId)).not.toContain('clutch-kit')
    await hand('mood', { mood: 'well' })
    expect((await call('GET', `/api/jobs/${jobId}/quotes`)).status).toBe(200)
  })
  it('slow, it is not waited for longer than a mechanic would', async () => {
    await hand('mood', { mood: 'slow' })
    await expect(ask(of => of.quotes('car', ['flywheel']))).rejects.toThrow(SupplierError)
    await hand('mood', { mood: 'well' })
    await expect(httpSupplier('http://127.0.0.1:1/').quotes('car', [])).rejects.toThrow('does not answer')
  })
  it('refuses what it does not sell, and an order nobody can read', async () => {
    expect(
      (await call('POST', `/api/jobs/${jobId}/orders`, ordering('moon-dust'))).body.data?.issues?.[0]?.reason,
    ).toContain('We do not sell that')
    expect(
      (await call('POST', `/api/jobs/${jobId}/orders`, { ...ordering('clutch-kit'), count: 0 })).body.data?.issues?.[0]
        ?.path,
    ).toBe('count')
    expect((await call('POST', `/api/jobs/${crypto.randomUUID()}/orders`, ordering('clutch-kit'))).status).toBe(404)
  })
})

interface Placed {
  orders: { key: string; orderNo: string }[]
}
const placed = async () => ((await (await fetch(`http://127.0.0.1:${supplier.port}/orders`)).json()) as Placed).orders

describe('an order is judged before it is placed', () => {
  const open = async () => {
    const request = newJobRequest({ options: { slave: 'opened', flywheel: 'new' }, odometerKm: null })
    expect((await call('POST', '/api/jobs', request)).status).toBe(201)
    return request.id
  }
  const logged = async (id: string) => reduceJob(await forGarage(database.db, garageId).jobs.events(id))

  // npm run prove:orders-placed takes a thousand.
  it('of several who order the same part at once one does, and nothing is placed that the log does not know', async () => {
    const races = Number(process.env.ELDRIN_RACES ?? 12)
    const keysBefore = new Set((await placed()).map(order => order.key))
    const known = new Set<string>()
    let id = ''
    for (let race = 0; race < races; race++) {
      if (race % 20 === 0) id = await open()
      const requests = Array.from({ length: 4 }, () => ordering('flywheel'))
      const answers = await Promise.all(requests.map(request => call('POST', `/api/jobs/${id}/orders`, request)))
      expect(answers.map(answer => answer.status).sort()).toEqual([200, 409, 409, 409])
      const { orders, askedOrders } = await logged(id)
      expect(askedOrders).toEqual([])
      const last = orders.at(-1)!
      known.add(last.orderId)
      await call('POST', `/api/jobs/${id}/events`, {
        events: [
          {
            id: crypto.randomUUID(),
            deviceId: 'test',
            deviceTime: new Date().toISOString(),
            personId,
            type: 'part-came',
            payload: { orderId: last.orderId },
          },
        ],
      })
    }
    expect(
      (await placed())
        .map(order => order.key)
        .filter(key => !keysBefore.has(key))
        .sort(),
    ).toEqual([...known].sort())
  }, 1_800_000)
  it('one that nobody answered in time stands in the log, is asked again, and is placed once', async () => {
    const id = await open()
    const request = ordering('flywheel')
    await hand('mood', { mood: 'slow' })
    const answer = await call('POST', `/api/jobs/${id}/orders`, request)
    expect([answer.status, answer.body.data?.issues?.[0]?.reason]).toEqual([
      503,
      expect.stringContaining('Eldrin asks again'),
    ])
    expect((await logged(id)).askedOrders).toMatchObject([{ orderId: request.id, failed: null }])
    expect((await call('POST', `/api/jobs/${id}/orders`, ordering('flywheel'))).body.data?.issues?.[0]?.path).toBe(
      'partId',
    )
    await hand('mood', { mood: 'well' })
    expect(await watchOrders(database.db, ask)).toBeGreaterThan(0)
    expect((await logged(id)).orders).toMatchObject([{ orderId: request.id, partId: 'flywheel' }])
    await expect
      .poll(async () => (await placed()).filter(order => order.key === request.id).length, { timeout: 60_000 })
      .toBe(1)
  })
  it('an id of one job orders nothing in another', async () => {
    const [one, two] = [await open(), await open()]
    const request = ordering('flywheel')
    expect((await call('POST', `/api/jobs/${one}/orders`, request)).status).toBe(200)
    expect((await call('POST', `/api/jobs/${two}/orders`, request)).status).toBe(409)
    expect((await logged(two)).orders).toEqual([])
    const [atOnce, other] = [await open(), await open()]
    const twice = ordering('flywheel')
    const answers = await Promise.all([atOnce, other].map(id => call('POST', `/api/jobs/${id}/orders`, twice)))
    expect(answers.map(each => each.status).sort()).toEqual([200, 409])
  })
  it('the supplier lives through somebody who goes away in the middle', async () => {
    const { connect } = await import('node:net')
    for (let attempt = 0; attempt < 5; attempt++) {
      await new Promise<void>(done => {
        const line = connect(supplier.port, '127.0.0.1', () => {
          line.write(
            'POST /orders HTTP/1.1\r\nhost: x\r\ncontent-type: application/json\r\ncontent-length: 1000\r\n\r\n{"key":',
          )
          setTimeout(() => {
            line.destroy()
            done()
          }, 20)
        })
      })
    }
    expect((await fetch(`http://127.0.0.1:${supplier.port}/orders`)).status).toBe(200)
  })
})
