import { postEvents } from '../../../../contracts/events'
import { appendEvents } from '../../../jobs/append'
import type { IncomingEvent } from '../../../jobs/append'

export default defineRoute('signed-in', async event => {
  const id = idParam(event)
  const { events, sentAt } = await readChecked(event, postEvents)
  const { garageId, hands } = await askerOf(event)
  return appendEvents(useDatabase().db, garageId, id, events as IncomingEvent[], sentAt, hands)
})
