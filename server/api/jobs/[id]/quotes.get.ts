import { jobQuotes } from '../../../orders'

export default defineRoute(event => jobQuotes(useDatabase().db, sessionGarage(), idParam(event), askSupplier))
