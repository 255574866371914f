import { jobCalendar } from '../../../../core/formats'
import { calendarText } from '../../../calendar'
import { sharedJob } from '../../../shared-job'

export default defineRoute(async (event) => {
  const { state, garage } = await sharedJob(useDatabase().db, getRouterParam(event, 'token')!)
  setHeader(event, 'content-type', 'text/calendar; charset=utf-8')
  setHeader(event, 'content-disposition', 'attachment; filename="clutch.ics"')
  return calendarText(`${garage.name}, your car`, state, jobCalendar(state), useShelf().terms, garage.words)
})
