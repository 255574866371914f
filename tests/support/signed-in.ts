import type { Role } from '../../core/people/roles'
import { forGarage } from '../../server/db/for-garage'
import { account, garage, person } from '../../server/db/schema'
import { DEVICE_COOKIE } from '../../server/who/device-cookie'
import { hashOf, hashSecret, newToken } from '../../server/who/secrets'
import type { TestDatabase } from './database'

export const PASSWORD = 'four words in a row'
const DAY_MS = 86_400_000

/** Another garage than the demo's, with nobody in it. */
export async function anotherGarage({ db }: TestDatabase): Promise<string> {
  const id = crypto.randomUUID()
  await db.insert(garage).values({ id, name: 'Thistle Row Clutches', town: 'Upper Pennick' })
  return id
}

/** Somebody of a garage who can sign in, by the password of all these tests. */
export async function somebody({ db }: TestDatabase, garageId: string, role: Role, signIn: string = role) {
  const personId = crypto.randomUUID()
  const [made] = await db
    .insert(account)
    .values({ signIn, passwordHash: await (kept ??= hashSecret(PASSWORD)) })
    .returning({ id: account.id })
  const accountId = made!.id
  await db.insert(person).values({ id: personId, garageId, name: `Some ${role}`, role, accountId })
  return { personId, accountId, garageId, role, signIn }
}
let kept: Promise<string> | undefined

/** A device of somebody that is signed in already. @returns the headers that it asks with, and its name in acts */
export async function deviceOf(
  { db }: TestDatabase,
  { personId, accountId, garageId }: { personId: string; accountId: string; garageId: string },
  deviceId: string = crypto.randomUUID(),
) {
  const token = newToken()
  const id = await forGarage(db, garageId).who.signIn({
    garageId,
    deviceId,
    name: 'Test device',
    tokenHash: hashOf(token),
    accountId,
    personId,
    expiresAt: new Date(Date.now() + DAY_MS),
  })
  return { id, deviceId, headers: { cookie: `${DEVICE_COOKIE}=${token}`, 'content-type': 'application/json' } }
}
