import { dropPasskey } from '../../db/queries/passkeys'
import { Refused } from '../../refused'
import { ownAccount } from '../../who/own-account'

export default defineRoute('signed-in', async event => {
  const account = await ownAccount(event)
  if (!(await dropPasskey(useDatabase().db, account.id, getRouterParam(event, 'key')!)))
    throw new Refused(404, [{ path: 'key', reason: 'You have no such passkey.' }])
  return sendNoContent(event)
})
