import { postEvents } from '../../../../contracts/events'
import { appendEvents } from '../../../job-log'
import type { IncomingEvent } from '../../../job-log'

export default defineRoute(async (event) => {
  const id = idParam(event)
  const { events, sentAt } = await readChecked(event, postEvents)
  return appendEvents(useDatabase().db, sessionGarage(), id, events as IncomingEvent[], sentAt)
})
