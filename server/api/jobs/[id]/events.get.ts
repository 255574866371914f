import { Refused } from '../../../refused'

export default defineRoute(async event => {
  const id = idParam(event)
  const after = afterParam(getQuery(event).after)
  const { jobs } = useStore(sessionGarage())
  if (!(await jobs.find(id))) throw new Refused(404, [{ path: 'id', reason: 'There is no such job.' }])
  return sendJson(event, await jobs.events(id, after))
})
