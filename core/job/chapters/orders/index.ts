import type { Chapter, JobState } from '../../chapters'
import { refuse } from '../../log/chapter'
import type { Refusal } from '../../log/chapter'
import { setArrival } from './arrivals'
import { askedOrders, isAsked, openAsked } from './asked'
import type { AskedOrder, AskedOrderEvents } from './asked'

export interface OrderEvents extends AskedOrderEvents {
  /** `covers` are other parts of the job that come in the same box. */
  'part-ordered': {
    orderId: string
    partId: string | null
    name: string
    count: number
    priceEach: number | null
    supplier: string
    orderNo: string | null
    arrivesAt: string
    covers?: string[]
  }
  'part-moved': { orderId: string; arrivesAt: string; because: string }
  'part-came': { orderId: string }
}

/** A part on order. */
export type PartOrder = OrderEvents['part-ordered'] & {
  personId: string
  orderedAt: string
  /** Why its day moved, newest last. */
  moves: { from: string; to: string; because: string; at: string }[]
  cameAt: string | null
}

export interface OrderState {
  orders: PartOrder[]
  /** Orders that wait for the supplier's answer, or that it did not take; one a part. */
  askedOrders: AskedOrder[]
}

export const noOrders = (): OrderState => ({ orders: [], askedOrders: [] })

export const orders: Chapter<OrderEvents> = {
  ...askedOrders,
  'part-ordered': {
    words: 'Order',
    wants: 'order',
    undo: false,
    // What the supplier has taken is in the log, whatever became of the job meanwhile.
    afterHandover: (state, { payload }) => isAsked(state, payload.orderId),
    afterCallOff: (state, { payload }) => isAsked(state, payload.orderId),
    admit: (state, { payload: { orderId, partId } }) => {
      if (state.orders.some(order => order.orderId === orderId))
        return refuse('payload.orderId', 'This order is in the log already.')
      if (partId === null) return null
      if (!state.procedure?.parts.some(part => part.id === partId))
        return refuse('payload.partId', `This job uses no part "${partId}".`)
      if (isAsked(state, orderId)) return null
      if (openAsked(state).some(order => order.partId === partId))
        return refuse('payload.partId', 'The supplier is being asked for this part already.')
      return state.orders.some(order => order.partId === partId && order.cameAt === null)
        ? refuse('payload.partId', 'This part is on order already.')
        : null
    },
    apply: (state, { payload, deviceTime, personId }) => {
      state.askedOrders = state.askedOrders.filter(
        order =>
          order.orderId !== payload.orderId &&
          (payload.partId === null || order.partId !== payload.partId || order.failed === null),
      )
      state.orders.push({ ...payload, personId, orderedAt: deviceTime, moves: [], cameAt: null })
      setArrival(state, payload, partsIn(state, payload), payload.arrivesAt, deviceTime)
    },
  },
  'part-moved': {
    words: 'New day of a part',
    wants: 'order',
    undo: false,
    afterHandover: false,
    afterCallOff: false,
    admit: (state, { payload }) => notOpen(state, payload.orderId),
    apply: (state, { payload, deviceTime }) => {
      const order = state.orders.find(entry => entry.orderId === payload.orderId)
      if (!order) return
      const moves = [
        ...order.moves,
        { from: order.arrivesAt, to: payload.arrivesAt, because: payload.because, at: deviceTime },
      ]
      replaceOrder(state, { ...order, arrivesAt: payload.arrivesAt, moves })
      setArrival(state, payload, partsIn(state, order), payload.arrivesAt, deviceTime)
    },
  },
  'part-came': {
    words: 'Part is here',
    wants: 'order',
    undo: true,
    afterHandover: false,
    afterCallOff: false,
    admit: (state, { payload }) => notOpen(state, payload.orderId),
    apply: (state, { payload, deviceTime }) => {
      const order = state.orders.find(entry => entry.orderId === payload.orderId)
      if (!order) return
      replaceOrder(state, { ...order, cameAt: deviceTime })
      setArrival(state, payload, partsIn(state, order), null, deviceTime)
    },
  },
}

function notOpen(state: JobState, orderId: string): Refusal | null {
  const order = state.orders.find(entry => entry.orderId === orderId)
  if (!order) return refuse('payload.orderId', 'There is no such order on this job.')
  return order.cameAt ? refuse('payload.orderId', 'This part is here already.') : null
}

/** Parts of this job that come with an order. */
function partsIn(state: JobState, { partId, covers = [] }: { partId: string | null; covers?: string[] }): string[] {
  return [...(partId === null ? [] : [partId]), ...covers].filter(id =>
    state.procedure?.parts.some(part => part.id === id),
  )
}

function replaceOrder(state: JobState, order: PartOrder): void {
  state.orders = state.orders.map(entry => (entry.orderId === order.orderId ? order : entry))
}
