import { newOrder } from '../../../../../contracts/supplier'
import { orderPart } from '../../../../orders'

export default defineRoute('order', async event =>
  orderPart(useDatabase().db, garageOf(event), idParam(event), await readChecked(event, newOrder), askSupplier),
)
