import { jobCalendar } from '../../../../core/formats'
import { calendarText } from '../../../calendar'
import { jobStateOf } from '../../../job-state'
import { readerOf } from '../../../reader'

export default defineRoute(async event => {
  const state = await jobStateOf(useStore(sessionGarage()), idParam(event))
  const settings = await useStore(sessionGarage()).garage.settings()
  setHeader(event, 'content-type', 'text/calendar; charset=utf-8')
  setHeader(event, 'content-disposition', `attachment; filename="job-${state.number}.ics"`)
  return calendarText(`Job ${state.number}`, state, jobCalendar(state), readerOf(settings, useShelf().terms))
})
