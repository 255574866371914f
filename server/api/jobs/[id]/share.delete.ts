import { Refused } from '../../../refused'

export default defineRoute('share', async event => {
  const id = idParam(event)
  const { jobs, shares } = useStore(garageOf(event))
  if (!(await jobs.find(id))) throw new Refused(404, [{ path: 'id', reason: 'There is no such job.' }])
  await shares.revoke(id)
  return sendNoContent(event)
})
