import { switchOptions } from '../../../../contracts/jobs'
import { switchJobOptions } from '../../../jobs/switch-options'

export default defineRoute(async event => {
  const id = idParam(event)
  return switchJobOptions(useDatabase().db, sessionGarage(), useShelf(), id, await readChecked(event, switchOptions))
})
