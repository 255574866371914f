import { uuid } from '../../../contracts/common'
import { Refused } from '../../refused'

export default defineRoute('teach', async event => {
  const id = uuid.safeParse(getRouterParam(event, 'id'))
  if (!id.success || !(await useStore(garageOf(event)).wrenches.remove(id.data)))
    throw new Refused(404, [{ path: 'id', reason: 'There is no such wrench in this garage.' }])
  setResponseStatus(event, 204)
  return null
})
