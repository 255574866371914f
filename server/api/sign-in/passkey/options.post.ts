import { addressOf, SIGN_IN_FROM, takeTry } from '../../../who/limits'
import { signInOptions } from '../../../who/passkeys'

export default defineRoute('anyone', async event => {
  await takeTry(SIGN_IN_FROM, addressOf(event))
  return signInOptions(event)
})
