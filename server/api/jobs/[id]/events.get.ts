import { Refused } from '../../../refused'

export default defineRoute(async (event) => {
  const id = idParam(event)
  const after = Number(getQuery(event).after ?? 0)
  if (!Number.isInteger(after) || after < 0) throw new Refused(400, [{ path: 'after', reason: 'A whole number from 0 up.' }])
  const { jobs } = useStore(sessionGarage())
  if (!await jobs.find(id)) throw new Refused(404, [{ path: 'id', reason: 'There is no such job.' }])
  return sendJson(event, await jobs.events(id, after))
})
