import { takeDeviceCookie } from '../who/device-cookie'
import { forgetBelieved } from '../who/asker'

export default defineRoute('signed-in', async event => {
  const { device, garageId } = await askerOf(event)
  if (device) await useStore(garageId).who.end(device.rowId, false)
  forgetBelieved()
  takeDeviceCookie(event)
  return null
})
