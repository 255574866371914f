import { Refused } from '../../../refused'

export default defineRoute(async event => {
  const id = idParam(event)
  const { after: from, last } = getQuery(event)
  const after = afterParam(from)
  const { jobs } = useStore(sessionGarage())
  if (!(await jobs.find(id))) throw new Refused(404, [{ path: 'id', reason: 'There is no such job.' }])
  if (!(await leadsTo(jobs, id, after, last)))
    throw new Refused(409, [{ path: 'last', reason: `The log of this job goes another way before event ${after}.` }])
  return sendJson(event, await jobs.events(id, after))
})
