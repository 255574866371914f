import type { JobEvent } from './events'
import { refuse } from './refusal'
import type { Judges } from './refusal'
import type { JobState } from './state'

/** An order between the moment it is judged and the supplier's answer, so that none is placed that the log does not know. */
export interface AskedOrderPayloads {
  /** Written before the supplier is asked; `part-ordered` with the same id confirms it. */
  'order-asked': { orderId: string, partId: string, count: number }
  /** The supplier did not take it. */
  'order-failed': { orderId: string, because: string }
}

export interface AskedOrder { orderId: string, partId: string, count: number, personId: string, at: string, /** Why the supplier did not take it; `null` while nobody knows. */ failed: string | null }

export const askedOrderAppliers = {
  'order-asked': (state: JobState, { payload, deviceTime, personId }: JobEvent<'order-asked'>) => {
    // An earlier try for the same part has had its day.
    state.askedOrders = [...state.askedOrders.filter(order => order.partId !== payload.partId), { ...payload, personId, at: deviceTime, failed: null }]
  },
  'order-failed': (state: JobState, { payload: { orderId, because } }: JobEvent<'order-failed'>) => {
    state.askedOrders = state.askedOrders.map(order => order.orderId === orderId ? { ...order, failed: because } : order)
  },
}

/** Orders that the supplier has not answered for yet. */
export const openAsked = (state: Pick<JobState, 'askedOrders'>): AskedOrder[] => state.askedOrders.filter(order => order.failed === null)

export const isAsked = (state: Pick<JobState, 'askedOrders'>, orderId: string): boolean => openAsked(state).some(order => order.orderId === orderId)

export const askedOrderJudges: Pick<Judges, keyof AskedOrderPayloads> = {
  'order-asked': (state, { payload: { orderId, partId } }) => {
    if (state.orders.some(order => order.orderId === orderId) || state.askedOrders.some(order => order.orderId === orderId)) return refuse('payload.orderId', 'This order is in the log already.')
    if (state.orders.some(order => order.partId === partId && order.cameAt === null)) return refuse('payload.partId', 'This part is on order already.')
    return openAsked(state).some(order => order.partId === partId) ? refuse('payload.partId', 'The supplier is being asked for this part already.') : null
  },
  'order-failed': (state, { payload }) => isAsked(state, payload.orderId) ? null : refuse('payload.orderId', 'Nobody waits for an answer to this order.'),
}
