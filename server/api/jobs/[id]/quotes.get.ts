import { jobQuotes } from '../../../orders'

export default defineRoute('see-money', event =>
  jobQuotes(useDatabase().db, garageOf(event), idParam(event), askSupplier),
)
