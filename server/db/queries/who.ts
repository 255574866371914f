import { and, asc, desc, eq, gt, isNull, ne } from 'drizzle-orm'
import type { Role } from '../../../core/people/roles'
import type { Executor } from '../client'
import { atTheDoor } from '../eyes'
import { daysFromNow } from '../from-now'
import { account, device, devicePerson, garage, invitation, person } from '../schema'

/** So long a device stays signed in after its last word. */
export const SIGNED_IN_DAYS = 45

/** The device a token belongs to, whoever asks, with what its person may; `null` where there is none. */
export async function deviceOfToken(db: Executor, tokenHash: string) {
  const [row] = await atTheDoor(db)
    .select({
      id: device.id,
      garageId: device.garageId,
      deviceId: device.deviceId,
      accountId: device.accountId,
      personId: device.personId,
      expiresAt: device.expiresAt,
      endedAt: device.endedAt,
      wipe: device.wipe,
      role: person.role,
      gone: person.gone,
    })
    .from(device)
    .innerJoin(person, and(eq(person.garageId, device.garageId), eq(person.id, device.personId)))
    .where(eq(device.tokenHash, tokenHash))
  return row ?? null
}

/** Everybody who has said on a device that it is them, and when that ended; `null` while it has not. */
export async function handsOf(db: Executor, garageId: string, deviceId: string): Promise<Map<string, Date | null>> {
  const rows = await atTheDoor(db)
    .select({ personId: devicePerson.personId, lockedAt: devicePerson.lockedAt })
    .from(devicePerson)
    .where(and(eq(devicePerson.garageId, garageId), eq(devicePerson.deviceId, deviceId)))
  return new Map(rows.map(row => [row.personId, row.lockedAt]))
}

/** An account by what is typed to sign in. */
export async function accountBySignIn(db: Executor, signIn: string) {
  const [row] = await atTheDoor(db).select().from(account).where(eq(account.signIn, signIn.toLowerCase()))
  return row ?? null
}

export async function accountById(db: Executor, id: string) {
  const [row] = await atTheDoor(db).select().from(account).where(eq(account.id, id))
  return row ?? null
}

/** Makes an account. @returns its id, `null` where somebody signs in by that name already */
export async function newAccount(db: Executor, signIn: string, passwordHash: string): Promise<string | null> {
  const [row] = await atTheDoor(db)
    .insert(account)
    .values({ signIn: signIn.toLowerCase(), passwordHash })
    .onConflictDoNothing()
    .returning({ id: account.id })
  return row?.id ?? null
}

export async function newPassword(db: Executor, accountId: string, passwordHash: string): Promise<void> {
  await atTheDoor(db).update(account).set({ passwordHash }).where(eq(account.id, accountId))
}

/** Ends every device that an account has signed in, in whatever garage, but one. */
export async function endDevicesOf(db: Executor, accountId: string, but?: string): Promise<void> {
  await atTheDoor(db)
    .update(device)
    .set({ endedAt: new Date() })
    .where(and(eq(device.accountId, accountId), isNull(device.endedAt), but ? ne(device.id, but) : undefined))
}

/** The garages an account belongs to, and as whom. */
export function placesOf(db: Executor, accountId: string) {
  return atTheDoor(db)
    .select({ garageId: garage.id, garage: garage.name, personId: person.id, name: person.name, role: person.role })
    .from(person)
    .innerJoin(garage, eq(garage.id, person.garageId))
    .where(and(eq(person.accountId, accountId), eq(person.gone, false)))
    .orderBy(asc(garage.name))
}

/** An invitation by its link, as long as it holds. */
export async function invitationOf(db: Executor, tokenHash: string) {
  const [row] = await atTheDoor(db)
    .select({
      id: invitation.id,
      garageId: invitation.garageId,
      garage: garage.name,
      kind: invitation.kind,
      role: invitation.role,
      name: invitation.name,
      personId: invitation.personId,
    })
    .from(invitation)
    .innerJoin(garage, eq(garage.id, invitation.garageId))
    .where(and(eq(invitation.tokenHash, tokenHash), isNull(invitation.endedAt), gt(invitation.expiresAt, new Date())))
  return row ?? null
}

/** People, devices and invitations of a garage. */
export function whoQueries(db: Executor, garageId: string) {
  return {
    async person(id: string) {
      const [row] = await db
        .select()
        .from(person)
        .where(and(eq(person.garageId, garageId), eq(person.id, id)))
      return row ?? null
    },
    async owners() {
      return db
        .select({ id: person.id, accountId: person.accountId })
        .from(person)
        .where(and(eq(person.garageId, garageId), eq(person.role, 'owner'), eq(person.gone, false)))
    },
    async setPin(id: string, pinHash: string | null) {
      await db
        .update(person)
        .set({ pinHash })
        .where(and(eq(person.garageId, garageId), eq(person.id, id)))
    },
    /** Who of this garage an account is. */
    async ofAccount(accountId: string) {
      const [row] = await db
        .select({ id: person.id, role: person.role })
        .from(person)
        .where(and(eq(person.garageId, garageId), eq(person.accountId, accountId)))
      return row ?? null
    },
    /** Somebody of the list can sign in from now on. */
    async belongsTo(id: string, accountId: string, role: Role) {
      await db
        .update(person)
        .set({ accountId, role })
        .where(and(eq(person.garageId, garageId), eq(person.id, id)))
    },
    async addPerson(entry: { id: string; name: string; role: Role; accountId: string }) {
      await db.insert(person).values({ ...entry, garageId })
    },

    devices() {
      return db
        .select({
          id: device.id,
          deviceId: device.deviceId,
          name: device.name,
          personId: device.personId,
          accountId: device.accountId,
          asks: device.asks,
          signedInAt: device.signedInAt,
          seenAt: device.seenAt,
        })
        .from(device)
        .where(and(eq(device.garageId, garageId), isNull(device.endedAt), gt(device.expiresAt, new Date())))
        .orderBy(desc(device.seenAt))
    },
    async signIn(entry: typeof device.$inferInsert) {
      const [row] = await db
        .insert(device)
        .values({ signedInAt: new Date(), seenAt: new Date(), ...entry })
        .returning({ id: device.id })
      await this.unlock(entry.deviceId, entry.personId)
      return row!.id
    },
    /** Ends a device; where it is lost, what it has kept is to go as well. @returns whether there was one */
    async end(id: string, wipe: boolean): Promise<boolean> {
      const ended = await db
        .update(device)
        .set({ endedAt: new Date(), wipe })
        .where(and(eq(device.garageId, garageId), eq(device.id, id), isNull(device.endedAt)))
        .returning({ deviceId: device.deviceId })
      for (const { deviceId } of ended)
        await db
          .update(devicePerson)
          .set({ lockedAt: new Date() })
          .where(and(eq(devicePerson.garageId, garageId), eq(devicePerson.deviceId, deviceId)))
      return ended.length > 0
    },
    /** Notes that a device said something, and that it may go on for as long again. @returns how it asks who is working */
    async seen(id: string) {
      const [row] = await db
        .update(device)
        .set({ seenAt: new Date(), expiresAt: daysFromNow(SIGNED_IN_DAYS) })
        .where(and(eq(device.garageId, garageId), eq(device.id, id)))
        .returning({ asks: device.asks, accountId: device.accountId })
      return row ?? null
    },
    async work(id: string, personId: string) {
      await db
        .update(device)
        .set({ personId })
        .where(and(eq(device.garageId, garageId), eq(device.id, id)))
    },
    async ask(id: string, asks: 'pin' | 'tag') {
      await db
        .update(device)
        .set({ asks })
        .where(and(eq(device.garageId, garageId), eq(device.id, id)))
    },
    async unlock(deviceId: string, personId: string) {
      await db
        .insert(devicePerson)
        .values({ garageId, deviceId, personId, since: new Date() })
        .onConflictDoUpdate({
          target: [devicePerson.garageId, devicePerson.deviceId, devicePerson.personId],
          set: { since: new Date(), lockedAt: null },
        })
    },

    invitations() {
      return db
        .select({
          id: invitation.id,
          kind: invitation.kind,
          role: invitation.role,
          name: invitation.name,
          personId: invitation.personId,
          expiresAt: invitation.expiresAt,
        })
        .from(invitation)
        .where(and(eq(invitation.garageId, garageId), isNull(invitation.endedAt), gt(invitation.expiresAt, new Date())))
        .orderBy(asc(invitation.expiresAt))
    },
    async invite(entry: Omit<typeof invitation.$inferInsert, 'garageId'>) {
      await db.insert(invitation).values({ ...entry, garageId })
    },
    /** Ends an invitation: it was taken up, or taken back. @returns whether it still held */
    async endInvitation(id: string): Promise<boolean> {
      const rows = await db
        .update(invitation)
        .set({ endedAt: new Date() })
        .where(
          and(
            eq(invitation.garageId, garageId),
            eq(invitation.id, id),
            isNull(invitation.endedAt),
            gt(invitation.expiresAt, new Date()),
          ),
        )
        .returning({ id: invitation.id })
      return rows.length > 0
    },
  }
}
