import { ownDeviceBody } from '../../../contracts/who'
import { Refused } from '../../refused'

/** How this device asks who is working. */
export default defineRoute('people', async event => {
  const { garageId, device } = await askerOf(event)
  const { asks } = await readChecked(event, ownDeviceBody)
  if (!device) throw new Refused(409, [{ path: '', reason: 'The demo asks nobody.' }])
  await useStore(garageId).who.ask(device.rowId, asks)
  return null
})
