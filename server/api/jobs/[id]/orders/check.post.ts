import { checkOrders } from '../../../../orders'

/** Asks the supplier after the open orders of this job. */
export default defineRoute(event => checkOrders(useDatabase().db, sessionGarage(), idParam(event), askSupplier))
