import { checkOrders } from '../../../../orders'

/** Asks the supplier after the open orders of this job. */
export default defineRoute('order', event =>
  checkOrders(useDatabase().db, garageOf(event), idParam(event), askSupplier),
)
