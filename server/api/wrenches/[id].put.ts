import { wrenchBody } from '../../../contracts/wrenches'
import { uuid } from '../../../contracts/common'
import { Refused } from '../../refused'

export default defineRoute('teach', async event => {
  const id = uuid.safeParse(getRouterParam(event, 'id'))
  if (!id.success) throw new Refused(400, [{ path: 'id', reason: 'A UUID is wanted.' }])
  const body = await readChecked(event, wrenchBody)
  if (!(await useStore(garageOf(event)).wrenches.put(id.data, body)))
    throw new Refused(409, [{ path: 'id', reason: 'This id is taken.' }])
  return { id: id.data, ...body }
})
