import { readFileSync } from 'node:fs'
import { createServer } from 'node:http'
import type { IncomingMessage, ServerResponse } from 'node:http'
import { fileURLToPath } from 'node:url'
import { listen } from '../listen'
import type { RunningStandIn } from '../listen'
import { offerOf } from './catalogue'

const page = fileURLToPath(new URL('./page.html', import.meta.url))

/** How the service is today. */
export const moods = ['well', 'slow', 'down'] as const
export type Mood = (typeof moods)[number]

interface Order {
  supplier: string
  orderNo: string
  key: string
  sku: string
  name: string
  count: number
  priceEach: number
  kit: { name: string; partId: string | null }[]
  arrivesAt: string
  state: 'on-its-way' | 'delivered'
  because: string
}

/** Deliveries come at this hour, local time. */
const DELIVERY_HOUR = 10
const SLOW_MS = 6000
const NAME = 'Pennick Motor Factors'
const DAY_MS = 86_400_000

export interface SupplierOptions {
  port: number
  seed: number
  now?: () => number
  currency?: string
}

/**
 * The simulated parts supplier: stock, prices and lead times that stay the same for a car, orders that may move, and days on
 * which it is slow or down. `/` is the page that holds it. Only on loopback.
 */
export function startSupplier({
  port,
  seed,
  now = Date.now,
  currency = 'USD',
}: SupplierOptions): Promise<RunningStandIn> {
  let mood: Mood = 'well'
  const orders: Order[] = []
  const arrival = (days: number) => {
    const at = new Date(now() + days * DAY_MS)
    at.setHours(DELIVERY_HOUR, 0, 0, 0)
    if (at.getTime() <= now()) at.setTime(at.getTime() + DAY_MS)
    return at.toISOString()
  }

  const routes: [
    method: string,
    path: RegExp,
    answer: (match: RegExpMatchArray, url: URL, body: Record<string, unknown>) => [number, object],
  ][] = [
    [
      'GET',
      /^\/quotes$/,
      (_match, url) => {
        const car = url.searchParams.get('car') ?? ''
        const wanted = (url.searchParams.get('parts') ?? '').split(',').filter(Boolean).slice(0, 100)
        const quotes = wanted.flatMap(partId => {
          const offer = offerOf(car, partId, seed)
          return offer
            ? [
                {
                  partId,
                  sku: offer.sku,
                  name: offer.name,
                  kit: offer.kit,
                  priceEach: offer.price,
                  currency,
                  stock: offer.stock,
                  backOrder: offer.backOrder,
                  arrivesAt: arrival(offer.days),
                },
              ]
            : []
        })
        return [200, { supplier: NAME, quotes }]
      },
    ],
    [
      'POST',
      /^\/orders$/,
      (_match, _url, { key, car, partId, count }) => {
        const known = orders.find(order => order.key === key)
        if (known) return [200, known]
        const offer = offerOf(String(car), String(partId), seed)
        if (!offer || typeof key !== 'string' || !Number.isInteger(count) || Number(count) < 1)
          return [422, { reason: 'We do not sell that.' }]
        const order: Order = {
          supplier: NAME,
          orderNo: `P${String(4100 + orders.length)}`,
          key,
          sku: offer.sku,
          name: offer.name,
          count: Number(count),
          priceEach: offer.price,
          kit: offer.kit,
          arrivesAt: arrival(offer.days),
          state: 'on-its-way',
          because: offer.backOrder ? 'On back order.' : '',
        }
        orders.push(order)
        return [201, order]
      },
    ],
    ['GET', /^\/orders$/, () => [200, { mood, orders }]],
    [
      'GET',
      /^\/orders\/([\w-]+)$/,
      ([, no]) => {
        const order = orders.find(entry => entry.orderNo === no)
        return order ? [200, order] : [404, { reason: 'There is no such order.' }]
      },
    ],
    [
      'POST',
      /^\/hand\/mood$/,
      (_match, _url, body) => {
        if (!moods.includes(body.mood as Mood)) return [422, { reason: `One of ${moods.join(', ')}.` }]
        mood = body.mood as Mood
        return [200, { mood }]
      },
    ],
    [
      'POST',
      /^\/hand\/orders\/([\w-]+)\/(later|delivered)$/,
      ([, no, what]) => {
        const order = orders.find(entry => entry.orderNo === no)
        if (!order) return [404, { reason: 'There is no such order.' }]
        if (what === 'delivered') order.state = 'delivered'
        else
          Object.assign(order, {
            arrivesAt: new Date(Date.parse(order.arrivesAt) + DAY_MS).toISOString(),
            because: 'The maker is late.',
          })
        return [200, order]
      },
    ],
  ]

  async function answer(request: IncomingMessage, response: ServerResponse) {
    const url = new URL(request.url ?? '/', 'http://127.0.0.1')
    const send = (status: number, body: object) =>
      response.writeHead(status, { 'content-type': 'application/json; charset=utf-8' }).end(JSON.stringify(body))
    if (url.pathname === '/') {
      response.writeHead(200, { 'content-type': 'text/html; charset=utf-8' }).end(readFileSync(page))
      return
    }
    const byHand = url.pathname.startsWith('/hand/') || (url.pathname === '/orders' && request.method === 'GET')
    if (mood === 'down' && !byHand) return send(503, { reason: 'We are closed for stock-taking.' })
    if (mood === 'slow' && !byHand) await new Promise(resolve => setTimeout(resolve, SLOW_MS))
    const chunks: Buffer[] = []
    for await (const chunk of request) chunks.push(chunk as Buffer)
    let body: Record<string, unknown>
    try {
      body = chunks.length > 0 ? (JSON.parse(Buffer.concat(chunks).toString('utf8')) as Record<string, unknown>) : {}
    } catch {
      return send(400, { reason: 'The body is not JSON.' })
    }
    for (const [method, path, act] of routes) {
      const match = request.method === method ? url.pathname.match(path) : null
      if (match) return send(...act(match, url, body))
    }
    return send(404, { reason: 'There is nothing here.' })
  }

  // Whoever asks may go away in the middle: then there is nobody to answer, and the next one is served.
  const server = createServer((request, response) => {
    answer(request, response).catch(() => response.destroy())
  })
  return listen(server, port, () => server.closeAllConnections())
}
