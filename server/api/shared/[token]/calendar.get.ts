import { jobCalendar } from '../../../../core/formats'
import { calendarText } from '../../../calendar'
import { sharedJob } from '../../../shared-job'

export default defineRoute(async event => {
  const { state, garage, reader } = await sharedJob(useDatabase().db, getRouterParam(event, 'token')!, useShelf().terms)
  setHeader(event, 'content-type', 'text/calendar; charset=utf-8')
  setHeader(event, 'content-disposition', 'attachment; filename="clutch.ics"')
  return calendarText(`${garage.name}, your car`, state, jobCalendar(state), reader)
})
