import { setRightNow } from '../../../core/job'
import { newJob } from '../../../contracts/jobs'
import { openJob } from '../../jobs/open'

export default defineRoute('work', async event => {
  const request = await readChecked(event, newJob)
  const { deviceTime: at, saidAt } = setRightNow(request.at, Date.now(), request.sentAt)
  const opened = await openJob(useDatabase().db, garageOf(event), useShelf(), { ...request, at }, saidAt)
  setResponseStatus(event, 201)
  return opened
})
