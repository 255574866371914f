import { openAsked } from '../../core/job'
import type { Projection } from './projection'

/** Orders at the supplier that are still to come. */
export const orders: Projection<string[]> = {
  name: 'orders still to come',
  of: ({ state }) => {
    const open =
      state.handedOver || state.calledOff
        ? []
        : state.orders.filter(order => order.cameAt === null && order.orderNo !== null)
    return [...open, ...openAsked(state)].map(order => order.orderId).sort()
  },
  read: (store, jobId) => store.jobs.openOrders(jobId),
  write: (store, jobId, orderIds) => store.jobs.keepOrders(jobId, orderIds),
}
