import { and, asc, eq, gt, isNull, lt } from 'drizzle-orm'
import type { Executor } from '../client'
import { atTheDoor } from '../eyes'
import { challenge, passkey } from '../schema'

/** So long a browser has to answer. */
const ANSWERED_WITHIN_MS = 5 * 60_000

/** Keeps what was asked of a browser, for whichever process hears the answer; what nobody answered goes. */
export async function keepChallenge(db: Executor, asked: string, accountId: string | null): Promise<void> {
  const door = atTheDoor(db)
  await door.delete(challenge).where(lt(challenge.expiresAt, new Date()))
  await door.insert(challenge).values({
    challenge: asked,
    accountId,
    expiresAt: new Date(Date.now() + ANSWERED_WITHIN_MS),
  })
}

/** Takes what was asked: it is answered once. @returns whether it was asked of this account, and not too long ago */
export async function takeChallenge(db: Executor, asked: string, accountId: string | null): Promise<boolean> {
  const whose = accountId === null ? isNull(challenge.accountId) : eq(challenge.accountId, accountId)
  const taken = await atTheDoor(db)
    .delete(challenge)
    .where(and(eq(challenge.challenge, asked), whose, gt(challenge.expiresAt, new Date())))
    .returning({ challenge: challenge.challenge })
  return taken.length > 0
}

export function passkeysOf(db: Executor, accountId: string) {
  return atTheDoor(db)
    .select({ id: passkey.id, name: passkey.name, createdAt: passkey.createdAt })
    .from(passkey)
    .where(eq(passkey.accountId, accountId))
    .orderBy(asc(passkey.createdAt))
}

export async function passkeyById(db: Executor, id: string) {
  const [row] = await atTheDoor(db).select().from(passkey).where(eq(passkey.id, id))
  return row ?? null
}

export async function addPasskey(db: Executor, entry: typeof passkey.$inferInsert): Promise<void> {
  await atTheDoor(db).insert(passkey).values(entry)
}

export async function usedPasskey(db: Executor, id: string, counter: number): Promise<void> {
  await atTheDoor(db).update(passkey).set({ counter }).where(eq(passkey.id, id))
}

/** @returns whether the account had it */
export async function dropPasskey(db: Executor, accountId: string, id: string): Promise<boolean> {
  const gone = await atTheDoor(db)
    .delete(passkey)
    .where(and(eq(passkey.accountId, accountId), eq(passkey.id, id)))
    .returning({ id: passkey.id })
  return gone.length > 0
}
