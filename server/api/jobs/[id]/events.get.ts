import { hideInEvent } from '../../../../core/rights/hide'
import { Refused } from '../../../refused'

export default defineRoute('see-jobs', async event => {
  const id = idParam(event)
  const { after: from, last } = getQuery(event)
  const after = afterParam(from)
  const { garageId, role } = await askerOf(event)
  const { jobs } = useStore(garageId)
  if (!(await jobs.find(id))) throw new Refused(404, [{ path: 'id', reason: 'There is no such job.' }])
  if (!(await leadsTo(jobs, id, after, last)))
    throw new Refused(409, [{ path: 'last', reason: `The log of this job goes another way before event ${after}.` }])
  const entries = await jobs.events(id, after)
  return sendJson(
    event,
    entries.map(entry => hideInEvent(role, entry)),
  )
})
