import { newOrder } from '../../../../../contracts/supplier'
import { orderPart } from '../../../../orders'

export default defineRoute(async event =>
  orderPart(useDatabase().db, sessionGarage(), idParam(event), await readChecked(event, newOrder), askSupplier),
)
