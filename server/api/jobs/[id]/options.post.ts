import { switchOptions } from '../../../../contracts/jobs'
import { switchJobOptions } from '../../../jobs/switch-options'

export default defineRoute('work', async event => {
  const id = idParam(event)
  return switchJobOptions(useDatabase().db, garageOf(event), useShelf(), id, await readChecked(event, switchOptions))
})
