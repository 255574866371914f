import type { H3Event } from 'h3'
import { forGarage } from '../db/for-garage'
import { accountById } from '../db/queries/who'
import { Refused } from '../refused'
import { useDatabase } from '../utils/database'
import { askerOf } from './asker'
import { SIGN_IN, takeTry } from './limits'
import { isSecret } from './secrets'

/** The account of whoever works with this device. @throws Refused where somebody else has signed it in */
export async function ownAccount(event: H3Event) {
  const { accountId, personId, garageId } = await askerOf(event)
  const { db } = useDatabase()
  const account = accountId === null ? null : await accountById(db, accountId)
  const person = await forGarage(db, garageId).who.person(personId)
  if (!account || person?.accountId !== account.id)
    throw new Refused(409, [{ path: '', reason: 'You have not signed this device in yourself.' }])
  return account
}

/** The same, shown once more by the password: a device that lies about changes nobody's keys. @param path of the password in what was sent */
export async function ownAccountBy(event: H3Event, password: string, path = 'password') {
  const account = await ownAccount(event)
  await takeTry(SIGN_IN, `password ${account.id}`)
  if (!(await isSecret(account.passwordHash, password)))
    throw new Refused(422, [{ path, reason: 'This is not the password.' }])
  return account
}
