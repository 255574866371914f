import { roles } from '../../core/people/roles'
import type { Role } from '../../core/people/roles'
import { DEMO_GARAGE_ID } from '../../server/demo/garage'
import type { TestDatabase } from '../support/database'
import { deviceOf, somebody } from '../support/signed-in'
import type { As } from './devices'

/** After so many requests somebody else comes: what one person may ask of some things in an hour is bounded. */
const REQUESTS_EACH = 300

/** Who asks: somebody of each role on a device of theirs, and somebody who is not signed in at all. */
export async function everyRole(database: TestDatabase) {
  const people = new Map<Role, As & { left: number }>()
  let count = 0
  async function come(role: Role) {
    const who = await somebody(database, DEMO_GARAGE_ID, role, `fuzz-${role}-${++count}`)
    const { deviceId, headers } = await deviceOf(database, who)
    people.set(role, { personId: who.personId, deviceId, headers: { cookie: headers.cookie }, left: REQUESTS_EACH })
  }
  for (const role of roles) await come(role)
  return {
    owner: () => people.get('owner')!,
    /** @returns `null` for nobody */
    drawn: (pick: <T>(list: readonly T[]) => T): Role | null => pick([...roles, 'owner', 'mechanic', null] as const),
    async asked(role: Role | null): Promise<As | null> {
      if (role === null) return null
      if (people.get(role)!.left-- <= 0) await come(role)
      return people.get(role)!
    },
    /** Somebody was signed out: the next one comes. */
    async gone(as: As) {
      for (const [role, person] of people) if (person === as) await come(role)
    },
  }
}
