import { z } from 'zod'
import { device, instant, key, uuid, words } from './common'

/** What a parts supplier answers, and what Eldrin asks of it through its server. */

const quote = z.object({
  partId: key(),
  sku: words(60),
  name: words(120),
  kit: z.array(z.object({ name: words(120), partId: z.string().max(120).nullable() })).max(40),
  priceEach: z.number().min(0).max(1_000_000),
  currency: words(8),
  stock: z.number().int().min(0),
  backOrder: z.boolean(),
  arrivesAt: instant,
})
export type Quote = z.infer<typeof quote>

/** `GET /quotes` of the supplier */
export const quotesAnswer = z.object({ supplier: words(80), quotes: z.array(quote).max(200) })
export type QuotesAnswer = z.infer<typeof quotesAnswer>

/** `POST /orders` and `GET /orders/:no` of the supplier */
export const orderAnswer = z.object({
  supplier: words(80),
  orderNo: words(60),
  priceEach: z.number().min(0),
  name: words(120),
  count: z.number().int().min(1),
  kit: z.array(z.object({ name: words(120), partId: z.string().max(120).nullable() })).max(40),
  arrivesAt: instant,
  state: z.enum(['on-its-way', 'delivered']),
  because: z.string().max(200),
})
export type OrderAnswer = z.infer<typeof orderAnswer>

/** `POST /api/jobs/:id/orders`: the id becomes the order's and the event's, so that asking twice orders once. */
export const newOrder = z.strictObject({
  id: uuid,
  partId: key(),
  count: z.number().int().min(1).max(200),
  personId: uuid,
  deviceId: device,
  at: instant,
})
export type NewOrder = z.infer<typeof newOrder>
