import type { AuthenticationResponseJSON } from '@simplewebauthn/server'
import { passkeySignInBody } from '../../../../contracts/who'
import type { PlacesAnswer } from '../../../../contracts/who'
import { letAccountIn } from '../../../who/let-in'
import { addressOf, SIGN_IN_FROM, takeTry } from '../../../who/limits'
import { accountOfPasskey } from '../../../who/passkeys'

export default defineRoute('anyone', async (event): Promise<PlacesAnswer | null> => {
  const { response, garageId, ...device } = await readChecked(event, passkeySignInBody)
  await takeTry(SIGN_IN_FROM, addressOf(event))
  const accountId = await accountOfPasskey(event, response as unknown as AuthenticationResponseJSON)
  return letAccountIn(event, accountId, device, garageId)
})
