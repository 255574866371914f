import { passkeyOptionsBody } from '../../../contracts/who'
import { ownAccountBy } from '../../who/own-account'
import { newPasskeyOptions } from '../../who/passkeys'

export default defineRoute('signed-in', async event => {
  const { password } = await readChecked(event, passkeyOptionsBody)
  return newPasskeyOptions(event, await ownAccountBy(event, password))
})
