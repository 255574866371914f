import { getCookie } from 'h3'
import type { H3Event } from 'h3'
import { may } from '../../core/people/roles'
import type { Permission, Role } from '../../core/people/roles'
import { deviceOfToken, handsOf } from '../db/queries/who'
import { DEMO_GARAGE_ID, demoPeople } from '../demo/garage'
import { BELIEVED_MS } from '../how-long'
import { Refused } from '../refused'
import { useDatabase } from '../utils/database'
import { DEVICE_COOKIE } from './device-cookie'
import { hashOf } from './secrets'

/** Who has said on a device that it is them, and when that ended; `null` while it has not. */
export type Hands = ReadonlyMap<string, Date | null>

/** Who asks: the garage, the device and the person at it come from what signed it in, never from what is asked. */
export interface Asker {
  garageId: string
  /** Nobody’s in the demo. */
  device: { rowId: string; deviceId: string } | null
  accountId: string | null
  personId: string
  role: Role
  /** Whose acts this device may send; `null` lets anybody’s of the garage through, as in the demo. */
  hands: Hands | null
}

const believed = new Map<string, { asker: Promise<Asker | null>; until: number }>()

/** The demo’s owner, for whoever comes to a server that was begun as one. */
const demoOwner = (): Asker => ({
  garageId: DEMO_GARAGE_ID,
  device: null,
  accountId: null,
  personId: demoPeople[0]!.id,
  role: 'owner',
  hands: null,
})

export const isDemo = (): boolean => process.env.ELDRIN_DEMO === '1'

/**
 * Who asks, found out once for a request.
 * @throws Refused where nobody is signed in here, or not any more; `wipe` says that what the device has kept is to go
 */
export async function askerOf(event: H3Event): Promise<Asker> {
  const known = event.context.asker as Asker | undefined
  if (known) return known
  const token = getCookie(event, DEVICE_COOKIE)
  const asker = token === undefined ? null : await believedOf(token)
  const found = asker ?? (isDemo() ? demoOwner() : null)
  if (!found) throw await turnedAway(token)
  event.context.asker = found
  return found
}

/** Whether the device that asked is still signed in, as whom it was; yes while nobody can say. */
export async function stillIn(event: H3Event): Promise<boolean> {
  const then = event.context.asker as Asker
  const token = getCookie(event, DEVICE_COOKIE)
  if (token === undefined || !then.device) return true
  const now = await believedOf(token).catch(() => then)
  return now?.personId === then.personId && now.role === then.role
}

/** The garage of the asker, for a route that lets nobody else in. */
export function garageOf(event: H3Event): string {
  return (event.context.asker as Asker).garageId
}

/** @throws Refused where the asker may not */
export function letIn({ role }: Asker, wanted: Permission | 'signed-in'): void {
  if (wanted === 'signed-in' || may(role, wanted)) return
  throw new Refused(403, [{ path: 'role', reason: `This is not for a ${role}. Ask the owner of the garage.` }])
}

/** Forgets what is believed of a device, in this process; the others hear of it within seconds. */
export function forgetBelieved(): void {
  believed.clear()
}

function believedOf(token: string): Promise<Asker | null> {
  const hash = hashOf(token)
  const now = performance.now()
  const there = believed.get(hash)
  if (there && there.until > now) return there.asker
  const asker = lookUp(hash)
  if (believed.size > 5_000) believed.clear()
  believed.set(hash, { asker, until: now + BELIEVED_MS })
  asker.catch(() => believed.delete(hash))
  return asker
}

async function lookUp(tokenHash: string): Promise<Asker | null> {
  const { db } = useDatabase()
  const row = await deviceOfToken(db, tokenHash)
  if (!row || row.endedAt || row.expiresAt.getTime() < Date.now() || row.gone) return null
  return {
    garageId: row.garageId,
    device: { rowId: row.id, deviceId: row.deviceId },
    accountId: row.accountId,
    personId: row.personId,
    role: row.role,
    hands: await handsOf(db, row.garageId, row.deviceId),
  }
}

async function turnedAway(token: string | undefined): Promise<Refused> {
  const row = token === undefined ? null : await deviceOfToken(useDatabase().db, hashOf(token))
  if (row?.wipe) return new Refused(401, [{ path: 'wipe', reason: 'This device was reported lost.' }])
  return new Refused(401, [
    { path: 'session', reason: row ? 'This device is not signed in any more.' : 'Sign in first.' },
  ])
}

/**
 * Whoever an act is said to be of has said on this device that it is them; an act that waited for a signal is theirs too,
 * though somebody else has the device by now.
 * @throws Refused with the path of the first that is somebody else’s
 */
export function wantOwnHand(event: H3Event, body: unknown): void {
  const { hands } = (event.context.asker as Asker | undefined) ?? { hands: null }
  if (hands === null || typeof body !== 'object' || body === null) return
  for (const { path, personId } of said(body))
    if (!hands.has(personId))
      throw new Refused(422, [{ path, reason: 'Nobody with that id has said on this device that it is them.' }])
}

function said(body: { personId?: unknown; events?: unknown }): { path: string; personId: string }[] {
  const own = typeof body.personId === 'string' ? [{ path: 'personId', personId: body.personId }] : []
  const events = Array.isArray(body.events) ? (body.events as { personId?: unknown }[]) : []
  return [
    ...own,
    ...events.flatMap((event, index) =>
      typeof event?.personId === 'string' ? [{ path: `events[${index}].personId`, personId: event.personId }] : [],
    ),
  ]
}
