import { z } from 'zod'
import type { OrderEvents } from '../../core/job/chapters/orders'
import { instant, key, uuid, words } from '../common'
import { money } from '../money'
import type { Contract } from './contract'

const id = key()
const count = z.number().int().min(1).max(200)

export const partOrdered = z.strictObject({
  orderId: uuid,
  partId: id.nullable(),
  name: words(120),
  count,
  priceEach: money.nullable(),
  supplier: words(80),
  orderNo: words(60).nullable(),
  arrivesAt: instant,
  covers: z.array(id).max(40).optional(),
})

export const ordersByServer = {
  'order-asked': z
    .strictObject({ orderId: uuid, partId: id, count })
    .describe('Written before the supplier is asked; `part-ordered` with the same id confirms it.'),
  'order-failed': z.strictObject({ orderId: uuid, because: words(300) }).describe('The supplier did not take it.'),
} satisfies Contract<Pick<OrderEvents, 'order-asked' | 'order-failed'>>

export const orders = {
  'part-ordered': partOrdered.describe(
    'A part is on order, and its day stands in the plan. `covers` are other parts of the job that come in the same box.',
  ),
  'part-moved': z
    .strictObject({ orderId: uuid, arrivesAt: instant, because: words(200) })
    .describe('Its day has moved, and why.'),
  'part-came': z.strictObject({ orderId: uuid }).describe('It is here.'),
} satisfies Contract<Omit<OrderEvents, keyof typeof ordersByServer>>
