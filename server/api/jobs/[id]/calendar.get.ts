import { jobCalendar } from '../../../../core/formats'
import { calendarText } from '../../../calendar'
import { jobStateOf } from '../../../job-state'
import { readerOf } from '../../../reader'

export default defineRoute('see-customers', async event => {
  const state = await jobStateOf(useStore(garageOf(event)), idParam(event))
  const settings = await useStore(garageOf(event)).garage.settings()
  setHeader(event, 'content-type', 'text/calendar; charset=utf-8')
  setHeader(event, 'content-disposition', `attachment; filename="job-${state.number}.ics"`)
  return calendarText(`Job ${state.number}`, state, jobCalendar(state), readerOf(settings, useShelf().terms))
})
