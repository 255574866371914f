import { jobCalendar } from '../../../../core/formats'
import { calendarText } from '../../../calendar'
import { sharedJob } from '../../../shared/shared-job'

export default defineRoute('anyone', async event => {
  const { state, garage, reader } = await sharedJob(event)
  setHeader(event, 'content-type', 'text/calendar; charset=utf-8')
  setHeader(event, 'content-disposition', 'attachment; filename="clutch.ics"')
  setHeader(event, 'cache-control', 'no-store')
  return calendarText(`${garage.name}, your car`, state, jobCalendar(state), reader)
})
