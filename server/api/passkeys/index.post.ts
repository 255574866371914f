import type { RegistrationResponseJSON } from '@simplewebauthn/server'
import { passkeyBody } from '../../../contracts/who'
import { ownAccount } from '../../who/own-account'
import { keepPasskey } from '../../who/passkeys'

export default defineRoute('signed-in', async event => {
  const { name, response } = await readChecked(event, passkeyBody)
  await keepPasskey(event, (await ownAccount(event)).id, name, response as unknown as RegistrationResponseJSON)
  setResponseStatus(event, 201)
  return { name }
})
