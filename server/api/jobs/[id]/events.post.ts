import { postEvents } from '../../../../contracts/events'
import { appendEvents } from '../../../jobs/append'
import type { IncomingEvent } from '../../../jobs/append'

export default defineRoute(async event => {
  const id = idParam(event)
  const { events, sentAt } = await readChecked(event, postEvents)
  return appendEvents(useDatabase().db, sessionGarage(), id, events as IncomingEvent[], sentAt)
})
