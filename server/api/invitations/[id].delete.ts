import { Refused } from '../../refused'

export default defineRoute('people', async event => {
  if (!(await useStore(garageOf(event)).who.endInvitation(idParam(event))))
    throw new Refused(404, [{ path: 'id', reason: 'This invitation does not hold any more.' }])
  setResponseStatus(event, 204)
  return null
})
