import type { Chapter, JobState } from '../../chapters'
import { refuse } from '../../log/chapter'

/** An order between the moment it is judged and the supplier's answer, so that none is placed that the log does not know. */
export interface AskedOrderEvents {
  /** Written before the supplier is asked; `part-ordered` with the same id confirms it. */
  'order-asked': { orderId: string; partId: string; count: number }
  /** The supplier did not take it. */
  'order-failed': { orderId: string; because: string }
}

export interface AskedOrder {
  orderId: string
  partId: string
  count: number
  personId: string
  at: string
  /** Why the supplier did not take it; `null` while nobody knows. */
  failed: string | null
}

/** Orders that the supplier has not answered for yet. */
export const openAsked = (state: Pick<JobState, 'askedOrders'>): AskedOrder[] =>
  state.askedOrders.filter(order => order.failed === null)

export const isAsked = (state: Pick<JobState, 'askedOrders'>, orderId: string): boolean =>
  openAsked(state).some(order => order.orderId === orderId)

export const askedOrders: Chapter<AskedOrderEvents> = {
  'order-asked': {
    words: 'Order asked for',
    wants: 'work',
    undo: false,
    afterHandover: false,
    afterCallOff: false,
    admit: (state, { payload: { orderId, partId } }) => {
      if ([...state.orders, ...state.askedOrders].some(order => order.orderId === orderId))
        return refuse('payload.orderId', 'This order is in the log already.')
      if (state.orders.some(order => order.partId === partId && order.cameAt === null))
        return refuse('payload.partId', 'This part is on order already.')
      return openAsked(state).some(order => order.partId === partId)
        ? refuse('payload.partId', 'The supplier is being asked for this part already.')
        : null
    },
    apply: (state, { payload, deviceTime, personId }) => {
      // An earlier try for the same part has had its day.
      state.askedOrders = [
        ...state.askedOrders.filter(order => order.partId !== payload.partId),
        { ...payload, personId, at: deviceTime, failed: null },
      ]
    },
  },
  'order-failed': {
    words: 'Order not taken',
    wants: 'work',
    undo: false,
    afterHandover: true,
    afterCallOff: true,
    admit: (state, { payload }) =>
      isAsked(state, payload.orderId) ? null : refuse('payload.orderId', 'Nobody waits for an answer to this order.'),
    apply: (state, { payload: { orderId, because } }) => {
      state.askedOrders = state.askedOrders.map(order =>
        order.orderId === orderId ? { ...order, failed: because } : order,
      )
    },
  },
}
