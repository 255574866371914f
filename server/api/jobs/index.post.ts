import { newJob } from '../../../contracts/jobs'
import { openJob } from '../../job-log'

export default defineRoute(async (event) => {
  const request = await readChecked(event, newJob)
  const opened = await openJob(useDatabase().db, sessionGarage(), useShelf(), request)
  setResponseStatus(event, 201)
  return opened
})
