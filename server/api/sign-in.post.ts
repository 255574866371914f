import { signInBody } from '../../contracts/who'
import type { PlacesAnswer } from '../../contracts/who'
import { accountBySignIn } from '../db/queries/who'
import { Refused } from '../refused'
import { letAccountIn } from '../who/let-in'
import { addressOf, giveBack, SIGN_IN, SIGN_IN_FROM, takeTry } from '../who/limits'
import { isSecret } from '../who/secrets'

export default defineRoute('anyone', async (event): Promise<PlacesAnswer | null> => {
  const { signIn, password, garageId, ...device } = await readChecked(event, signInBody)
  const { db } = useDatabase()
  const tried = `${signIn} ${addressOf(event)}`
  await takeTry(SIGN_IN_FROM, addressOf(event))
  await takeTry(SIGN_IN, tried)
  const account = await accountBySignIn(db, signIn)
  // One answer for both, and as slow: nobody learns who has an account.
  if (!(await isSecret(account?.passwordHash, password)))
    throw new Refused(401, [{ path: 'password', reason: 'Name or password is not right.' }])
  await giveBack(SIGN_IN, tried)
  return letAccountIn(event, account!.id, device, garageId)
})
