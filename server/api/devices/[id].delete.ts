import { may } from '../../../core/people/roles'
import { Refused } from '../../refused'
import { forgetBelieved } from '../../who/asker'

/** Ends a device; `?lost` has it throw away what it has kept, at its next word. */
export default defineRoute('signed-in', async event => {
  const id = idParam(event)
  const { garageId, accountId, role } = await askerOf(event)
  const { who } = useStore(garageId)
  const there = (await who.devices()).find(each => each.id === id)
  if (!there) throw new Refused(404, [{ path: 'id', reason: 'This device is not signed in.' }])
  if (!may(role, 'people') && there.accountId !== accountId)
    throw new Refused(403, [{ path: 'role', reason: 'This is somebody else’s device. Ask the owner of the garage.' }])
  await who.end(id, getQuery(event).lost !== undefined)
  forgetBelieved()
  setResponseStatus(event, 204)
  return null
})
