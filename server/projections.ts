import { symptomWords } from '../contracts/words'
import { jobWords, observedMinutes, openAsked, summarise } from '../core/job'
import type { EventType, JobEvent, JobState } from '../core/job'
import type { GarageStore } from './db/for-garage'

/** Counts up with every change of what is written here, so that a newer Eldrin writes all of it anew. */
export const PROJECTION_VERSION = 1

const worded = new Set<EventType>(['job-opened', 'plan-made', 'note-added', 'trouble-raised', 'trouble-cleared', 'figure-named', 'cause-found', 'bolt-described', 'bolt-broken', 'part-ordered', 'undone'])
const ordering = new Set<EventType>(['order-asked', 'order-failed', 'part-ordered', 'part-came', 'handed-over', 'called-off', 'undone'])
const causing = new Set<EventType>(['cause-found', 'undone'])
const closing = new Set<EventType>(['handed-over', 'undone'])

/**
 * Writes the tables that follow from a job's log: its line on the Yard, the words it is found by, orders still to come,
 * what the garage learns, figures of kit sheets.
 * @param added the events that are new; all of the log where everything is written anew
 */
export async function project(store: GarageStore, log: JobEvent[], state: JobState, added: JobEvent[]): Promise<void> {
  const jobId = state.jobId!
  const isNew = (types: Set<EventType>) => added.some(event => types.has(event.type))
  await store.jobs.project(summarise(state), state.lastSeq)
  if (isNew(ordering)) {
    const open = state.handedOver || state.calledOff ? [] : state.orders.filter(order => order.cameAt === null && order.orderNo !== null)
    await store.jobs.keepOrders(jobId, [...open, ...openAsked(state)].map(order => order.orderId))
  }
  for (const event of added) {
    // A job that came as a file may carry papers of another garage, with numbers of its own.
    if (event.type === 'paper-issued' && event.payload.garageId === store.garageId) await store.papers.keep(jobId, event.payload)
    if (event.type === 'figure-named' && event.payload.sourceKind === 'kit-sheet' && !event.payload.borrowed) await store.kits.keep(jobId, event.payload, new Date(event.deviceTime))
  }
  if (isNew(worded)) await store.words.keep(jobId, jobWords(state, id => symptomWords[id] ?? id))
  if (isNew(causing)) {
    const found = state.causeFound
    await store.learned.keepCause(jobId, found && { tableId: found.tableId, causeId: found.causeId, findings: found.findings, foundAt: new Date(found.at) })
  }
  if (isNew(closing)) await keepMinutes(store, log, state)
}

/** What the garage learns of minutes, once a job is handed over. */
async function keepMinutes(store: GarageStore, log: JobEvent[], state: JobState): Promise<void> {
  const operations = new Map((state.procedure?.operations ?? []).map(operation => [operation.id, operation]))
  const rows = state.handedOver ? observedMinutes(log, state) : []
  await store.learned.keepMinutes(state.jobId!, rows.map(({ operationId, minutes, troubled, by }) => ({
    operationId, minutes, troubled, byTimer: by === 'timer', prior: operations.get(operationId)!.learned?.from ?? operations.get(operationId)!.minutes, doneAt: new Date(state.done[operationId]!.at),
  })))
}
