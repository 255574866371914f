import { exportJob } from '../../../../core/formats'
import { Refused } from '../../../refused'

/** A job as one JSON file: its whole log. */
export default defineRoute('see-money', async event => {
  const store = useStore(garageOf(event))
  const events = await store.jobs.events(idParam(event))
  const [first] = events
  if (first?.type !== 'job-opened') throw new Refused(404, [{ path: 'id', reason: 'There is no such job.' }])
  setHeader(event, 'content-disposition', `attachment; filename="job-${first.payload.number}.json"`)
  return sendJson(event, exportJob(events, await store.garage.people(), new Date().toISOString()))
})
