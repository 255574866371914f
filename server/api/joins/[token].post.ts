import { joinBody } from '../../../contracts/who'
import { invitationBy, join } from '../../who/join'
import { signDeviceIn } from '../../who/sign-in'

export default defineRoute('anyone', async event => {
  const body = await readChecked(event, joinBody)
  const found = await join(await invitationBy(event), body)
  await signDeviceIn(event, { ...found, deviceId: body.deviceId, deviceName: body.deviceName })
  return null
})
