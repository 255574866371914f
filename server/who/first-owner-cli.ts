/** Makes the link by which the first owner comes in, and prints it. It opens once, for a day. */
import { parseArgs } from 'node:util'
import { and, eq, isNotNull } from 'drizzle-orm'
import { openDatabase } from '../db/client'
import { atTheDoor, seenBy } from '../db/eyes'
import { forGarage } from '../db/for-garage'
import { daysFromNow } from '../db/from-now'
import { garage, person } from '../db/schema'
import { hashOf, newToken } from './secrets'

const { values } = parseArgs({
  options: {
    /** What Eldrin is reached by, such as https://garage.example. */
    address: { type: 'string', default: 'http://127.0.0.1:3000' },
    /** A garage that is there already and has lost its owners. */
    garage: { type: 'string' },
    /** Says nothing where somebody can sign in already. */
    'if-none': { type: 'boolean', default: false },
  },
})
const { db, close } = openDatabase(process.env.DATABASE_URL!, 2)
try {
  if (!(values['if-none'] && (await hasOwner()))) await invite()
} catch (error) {
  console.error((error as Error).message)
  process.exitCode = 1
} finally {
  await close()
}

async function hasOwner(): Promise<boolean> {
  const owners = await atTheDoor(db)
    .select({ id: person.id })
    .from(person)
    .where(and(eq(person.role, 'owner'), isNotNull(person.accountId)))
    .limit(1)
  return owners.length > 0
}

async function invite(): Promise<void> {
  const id = values.garage ?? crypto.randomUUID()
  const [there] = await atTheDoor(db).select({ id: garage.id }).from(garage).where(eq(garage.id, id))
  if (values.garage && !there) throw new Error(`There is no garage ${id}.`)
  if (!there) await seenBy(db, id).insert(garage).values({ id, name: 'New garage', town: '' })
  const token = newToken()
  await forGarage(db, id).who.invite({
    id: crypto.randomUUID(),
    tokenHash: hashOf(token),
    kind: there ? 'join' : 'first',
    role: 'owner',
    name: 'Owner',
    expiresAt: daysFromNow(1),
  })
  console.log(`Open this once, within a day, to become an owner: ${values.address}/join/${token}`)
}
