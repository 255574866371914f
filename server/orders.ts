import type { NewOrder, OrderAnswer, QuotesAnswer } from '../contracts/supplier'
import { reduceJob } from '../core/job'
import type { JobState } from '../core/job'
import type { Database } from './db/client'
import { forGarage } from './db/for-garage'
import { appendEvents } from './job-log'
import type { IncomingEvent } from './job-log'
import { Refused } from './refused'
import type { PartsSupplier } from './supplier/supplier'

type Ask = <T>(ask: (supplier: PartsSupplier) => Promise<T>) => Promise<T>

async function stateOf(db: Database, garageId: string, jobId: string): Promise<JobState> {
  const log = await forGarage(db, garageId).jobs.events(jobId)
  if (log.length === 0) throw new Refused(404, [{ path: 'id', reason: 'There is no such job.' }])
  return reduceJob(log)
}

const carOf = ({ vehicle }: JobState) => `${vehicle!.make} ${vehicle!.model} ${vehicle!.year}`

/** What the supplier offers for every part this job uses or could renew. */
export async function jobQuotes(db: Database, garageId: string, jobId: string, ask: Ask): Promise<QuotesAnswer> {
  const state = await stateOf(db, garageId, jobId)
  const { parts = [], bench } = state.procedure ?? {}
  const wanted = new Set([...parts.map(part => part.id), ...bench?.reachable.map(entry => entry.part) ?? [], 'machine-shop', 'flywheel'])
  return ask(supplier => supplier.quotes(carOf(state), [...wanted]))
}

/**
 * Orders a part and writes that into the job's log; its day then holds in the plan. Asked twice with one id it is ordered once.
 * @throws Refused when the job has it on order already, or the supplier does not take the order; nothing is written then
 */
export async function orderPart(db: Database, garageId: string, jobId: string, request: NewOrder, ask: Ask): Promise<{ accepted: { id: string, seq: number }[] }> {
  const state = await stateOf(db, garageId, jobId)
  const known = state.orders.find(order => order.orderId === request.id)
  if (!known && state.orders.some(order => order.partId === request.partId && order.cameAt === null)) throw new Refused(409, [{ path: 'partId', reason: 'This part is on order already.' }])
  const answer = await ask(supplier => supplier.order(request.id, carOf(state), request.partId, request.count))
  const planned = (id: string) => state.procedure?.parts.some(part => part.id === id) ?? false
  const covers = answer.kit.flatMap(entry => entry.partId !== null && planned(entry.partId) ? [entry.partId] : [])
  return appendEvents(db, garageId, jobId, [{
    id: request.id, deviceId: request.deviceId, deviceTime: request.at, personId: request.personId, type: 'part-ordered',
    payload: {
      orderId: request.id, partId: planned(request.partId) ? request.partId : null, name: answer.name, count: answer.count, priceEach: answer.priceEach,
      supplier: answer.supplier, orderNo: answer.orderNo, arrivesAt: answer.arrivesAt, ...(covers.length > 0 ? { covers } : {}),
    },
  } as IncomingEvent])
}

/** What the supplier's answer changes in the log: another day, or that the part was delivered. */
export function newsOf(order: JobState['orders'][number], answer: OrderAnswer, at: string): IncomingEvent | null {
  const head = { id: crypto.randomUUID(), deviceId: 'supplier', deviceTime: at, personId: order.personId }
  if (answer.state === 'delivered') return { ...head, type: 'part-came', payload: { orderId: order.orderId } } as IncomingEvent
  if (Date.parse(answer.arrivesAt) === Date.parse(order.arrivesAt)) return null
  return { ...head, type: 'part-moved', payload: { orderId: order.orderId, arrivesAt: answer.arrivesAt, because: answer.because || 'The supplier gives another day.' } } as IncomingEvent
}

/** Asks after every open order of a job and writes what has changed. */
export async function checkOrders(db: Database, garageId: string, jobId: string, ask: Ask): Promise<{ changed: number }> {
  const state = await stateOf(db, garageId, jobId)
  if (state.handedOver || state.calledOff) return { changed: 0 }
  const news: IncomingEvent[] = []
  for (const order of state.orders) {
    if (order.cameAt !== null || order.orderNo === null) continue
    const answer = await ask(supplier => supplier.state(order.orderNo!))
    const event = newsOf(order, answer, new Date().toISOString())
    if (event) news.push(event)
  }
  if (news.length > 0) await appendEvents(db, garageId, jobId, news)
  return { changed: news.length }
}
