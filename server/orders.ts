import type { NewOrder, OrderAnswer, QuotesAnswer } from '../contracts/supplier'
import type { PostedEvents } from '../contracts/events'
import { openAsked, reduceJob } from '../core/job'
import type { AskedOrder, JobState } from '../core/job'
import type { Sheet } from '../core/packs'
import type { Database } from './db/client'
import { forGarage } from './db/for-garage'
import { appendEvents } from './jobs/append'
import type { IncomingEvent } from './jobs/append'
import { Refused, SupplierRefused } from './refused'
import type { PartsSupplier } from './supplier/supplier'

type Ask = <T>(ask: (supplier: PartsSupplier) => Promise<T>) => Promise<T>

async function stateOf(db: Database, garageId: string, jobId: string): Promise<JobState> {
  const log = await forGarage(db, garageId).jobs.events(jobId)
  if (log.length === 0) throw new Refused(404, [{ path: 'id', reason: 'There is no such job.' }])
  return reduceJob(log)
}

const carOf = ({ vehicle }: JobState) => `${vehicle!.make} ${vehicle!.model} ${vehicle!.year}`

/** What has to be bought for the ways on from a sheet. */
const waysParts = ({ ways }: Sheet): string[] => ways?.choices.flatMap(choice => choice.parts) ?? []

/** What the supplier offers for every part this job uses or could renew. */
export async function jobQuotes(db: Database, garageId: string, jobId: string, ask: Ask): Promise<QuotesAnswer> {
  const state = await stateOf(db, garageId, jobId)
  const { parts = [], bench } = state.procedure ?? {}
  const wanted = new Set([
    ...parts.map(part => part.id),
    ...(bench?.reachable.map(entry => entry.part) ?? []),
    ...(bench?.sheets.flatMap(waysParts) ?? []),
  ])
  return ask(supplier => supplier.quotes(carOf(state), [...wanted]))
}

/**
 * Orders a part: judged, its id written into the log, then asked of the supplier, then confirmed in the log; its day holds in the plan
 * from then on. Asked twice with one id it is ordered once. Where nobody answers, the order stays open in the log and is asked again
 * by whoever looks after orders next.
 * @throws Refused when the job has it on order already, or the supplier does not take the order, which the log then tells
 */
export async function orderPart(
  db: Database,
  garageId: string,
  jobId: string,
  request: NewOrder,
  ask: Ask,
): Promise<PostedEvents> {
  // Without a supplier nothing is begun.
  await ask(() => Promise.resolve())
  const { partId, count } = request
  const reserved = await appendEvents(
    db,
    garageId,
    jobId,
    [
      {
        id: request.id,
        deviceId: request.deviceId,
        deviceTime: request.at,
        personId: request.personId,
        type: 'order-asked',
        payload: { orderId: request.id, partId, count },
      } as IncomingEvent,
    ],
    request.at,
  ).catch((error: unknown) => {
    throw error instanceof Refused ? atField(error) : error
  })
  const state = await stateOf(db, garageId, jobId)
  const asked = openAsked(state).find(order => order.orderId === request.id)
  if (asked) await askFor(db, garageId, jobId, state, asked, ask)
  return reserved
}

/** A refusal of the event that an order becomes, by the fields of the request. */
const atField = (refused: Refused) =>
  new Refused(
    refused.status,
    refused.issues.map(({ path, reason }) => ({
      path: path.replace(/^events\[0\]\.(?:payload\.)?/, '').replace('orderId', 'id'),
      reason,
    })),
  )

/** Asks the supplier for an order that stands in the log, and writes what it says. */
async function askFor(
  db: Database,
  garageId: string,
  jobId: string,
  state: JobState,
  order: AskedOrder,
  ask: Ask,
): Promise<PostedEvents> {
  const head = {
    id: crypto.randomUUID(),
    deviceId: 'supplier',
    deviceTime: new Date().toISOString(),
    personId: order.personId,
  }
  let answer: OrderAnswer
  try {
    answer = await ask(supplier => supplier.order(order.orderId, carOf(state), order.partId, order.count))
  } catch (error) {
    if (!(error instanceof SupplierRefused)) throw error
    if (!error.saidNo)
      throw new Refused(503, [
        {
          path: 'supplier',
          reason: `${error.issues[0]!.reason} The order stands as asked; Eldrin asks again until it is answered.`,
        },
      ])
    await confirm(db, garageId, jobId, {
      ...head,
      type: 'order-failed',
      payload: { orderId: order.orderId, because: error.issues[0]!.reason },
    } as IncomingEvent)
    throw error
  }
  const planned = (id: string) => state.procedure?.parts.some(part => part.id === id) ?? false
  const covers = answer.kit.flatMap(entry => (entry.partId !== null && planned(entry.partId) ? [entry.partId] : []))
  return confirm(db, garageId, jobId, {
    ...head,
    type: 'part-ordered',
    payload: {
      orderId: order.orderId,
      partId: planned(order.partId) ? order.partId : null,
      name: answer.name,
      count: answer.count,
      priceEach: answer.priceEach,
      supplier: answer.supplier,
      orderNo: answer.orderNo,
      arrivesAt: answer.arrivesAt,
      ...(covers.length > 0 ? { covers } : {}),
    },
  } as IncomingEvent)
}

/** Writes what came of an order; what another process wrote first stands. */
async function confirm(db: Database, garageId: string, jobId: string, event: IncomingEvent): Promise<PostedEvents> {
  try {
    return await appendEvents(db, garageId, jobId, [event])
  } catch (error) {
    if (error instanceof Refused && error.status === 409) return { accepted: [] }
    throw error
  }
}

/** What the supplier's answer changes in the log: another day, or that the part was delivered. */
export function newsOf(order: JobState['orders'][number], answer: OrderAnswer, at: string): IncomingEvent | null {
  const head = { id: crypto.randomUUID(), deviceId: 'supplier', deviceTime: at, personId: order.personId }
  if (answer.state === 'delivered')
    return { ...head, type: 'part-came', payload: { orderId: order.orderId } } as IncomingEvent
  if (Date.parse(answer.arrivesAt) === Date.parse(order.arrivesAt)) return null
  return {
    ...head,
    type: 'part-moved',
    payload: {
      orderId: order.orderId,
      arrivesAt: answer.arrivesAt,
      because: answer.because || 'The supplier gives another day.',
    },
  } as IncomingEvent
}

/** Asks after every open order of a job, and again for those that were never answered; writes what has changed. */
export async function checkOrders(
  db: Database,
  garageId: string,
  jobId: string,
  ask: Ask,
): Promise<{ changed: number }> {
  const state = await stateOf(db, garageId, jobId)
  let answered = 0
  for (const order of openAsked(state))
    answered += (await askFor(db, garageId, jobId, state, order, ask)).accepted.length
  if (state.handedOver || state.calledOff) return { changed: answered }
  const news: IncomingEvent[] = []
  for (const order of state.orders) {
    if (order.cameAt !== null || order.orderNo === null) continue
    const answer = await ask(supplier => supplier.state(order.orderNo!))
    const event = newsOf(order, answer, new Date().toISOString())
    if (event) news.push(event)
  }
  if (news.length > 0) await appendEvents(db, garageId, jobId, news)
  return { changed: news.length + answered }
}
