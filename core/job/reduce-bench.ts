import { readingOf } from '../bench/readings-of'
import { setArrival } from './arrivals'
import type { BenchEventType } from './bench-events'
import type { JobEvent } from './events'
import type { JobState } from './state'

type Appliers = { [T in BenchEventType]: (state: JobState, event: JobEvent<T>) => void }

/** What the events of the bench do to a job. */
export const benchAppliers: Appliers = {
  'sheet-read': (state, { payload: { sheetId, values, cleared }, deviceTime, personId }) => {
    const before = Object.entries(state.sheets[sheetId]?.values ?? {}).filter(([id]) => !cleared.includes(id))
    state.sheets[sheetId] = { values: { ...Object.fromEntries(before), ...values }, at: deviceTime, personId }
    // What a step asks for and a sheet has is read once.
    for (const field of state.procedure?.bench.sheets.find(sheet => sheet.id === sheetId)?.fields ?? []) {
      const value = values[field.id]
      const reading = value && field.reading ? readingOf(field, value) : null
      if (reading) state.readings.push({ stepId: field.reading!.step, readingId: field.reading!.id, ...reading, at: deviceTime })
    }
  },
  'orientation-noted': (state, { payload: { partId, ...noted }, deviceTime }) => {
    state.orientations[partId] = { ...noted, at: deviceTime, confirmedAt: null }
  },
  'orientation-confirmed': (state, { payload, deviceTime }) => {
    const noted = state.orientations[payload.partId]
    if (noted) state.orientations[payload.partId] = { ...noted, confirmedAt: deviceTime }
  },
  'old-part-gone': (state, { payload, deviceTime }) => {
    state.oldPartsGone[payload.partId] = { where: payload.where, at: deviceTime }
  },
  'renewal-weighed': (state, { payload: { partId, ...weighed }, deviceTime }) => {
    state.renewals[partId] = { decision: null, because: '', ...state.renewals[partId], weighed, at: deviceTime }
  },
  'renewal-decided': (state, { payload: { decisions, because }, deviceTime }) => {
    for (const { partId, decision } of decisions) state.renewals[partId] = { weighed: state.renewals[partId]?.weighed ?? null, decision, because, at: deviceTime }
  },
  'way-chosen': (state, { payload, deviceTime }) => {
    state.ways.push({ ...payload, at: deviceTime })
  },
  'promised': (state, { payload }) => {
    state.promisedAt = payload.at
  },
  'part-ordered': (state, { payload, deviceTime, personId }) => {
    state.askedOrders = state.askedOrders.filter(order => order.orderId !== payload.orderId && (payload.partId === null || order.partId !== payload.partId || order.failed === null))
    state.orders.push({ ...payload, personId, orderedAt: deviceTime, moves: [], cameAt: null })
    setArrival(state, payload, partsIn(state, payload), payload.arrivesAt, deviceTime)
  },
  'part-moved': (state, { payload, deviceTime }) => {
    const order = state.orders.find(entry => entry.orderId === payload.orderId)
    if (!order) return
    replaceOrder(state, { ...order, arrivesAt: payload.arrivesAt, moves: [...order.moves, { from: order.arrivesAt, to: payload.arrivesAt, because: payload.because, at: deviceTime }] })
    setArrival(state, payload, partsIn(state, order), payload.arrivesAt, deviceTime)
  },
  'part-came': (state, { payload, deviceTime }) => {
    const order = state.orders.find(entry => entry.orderId === payload.orderId)
    if (!order) return
    replaceOrder(state, { ...order, cameAt: deviceTime })
    setArrival(state, payload, partsIn(state, order), null, deviceTime)
  },
}

/** Parts of this job that come with an order. */
function partsIn(state: JobState, { partId, covers = [] }: { partId: string | null, covers?: string[] }): string[] {
  return [...partId === null ? [] : [partId], ...covers].filter(id => state.procedure?.parts.some(part => part.id === id))
}

function replaceOrder(state: JobState, order: JobState['orders'][number]): void {
  state.orders = state.orders.map(entry => entry.orderId === order.orderId ? order : entry)
}

