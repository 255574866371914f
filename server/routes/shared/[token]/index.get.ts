import { sharedAnswer } from '../../../shared/shared-answer'
import { sharedJob } from '../../../shared/shared-job'

/** A customer's page, apart from all that a signed-in device asks: its cookie does not come here. */
export default defineRoute('anyone', async event => {
  setHeader(event, 'cache-control', 'no-store')
  setHeader(event, 'x-robots-tag', 'noindex')
  return sharedAnswer(await sharedJob(event))
})
