import { passwordBody } from '../../../contracts/who'
import { endDevicesOf, newPassword } from '../../db/queries/who'
import { ownAccountBy } from '../../who/own-account'
import { hashSecret } from '../../who/secrets'
import { wantUncommon } from '../../who/tried-first'

/** A new password for who signed this device in; their other devices are signed out. */
export default defineRoute('signed-in', async event => {
  const { device } = await askerOf(event)
  const { old, fresh } = await readChecked(event, passwordBody)
  wantUncommon(fresh, 'fresh')
  const account = await ownAccountBy(event, old, 'old')
  await newPassword(useDatabase().db, account.id, await hashSecret(fresh))
  await endDevicesOf(useDatabase().db, account.id, device?.rowId)
  return null
})
