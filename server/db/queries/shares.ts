import { randomBytes } from 'node:crypto'
import { and, desc, eq, isNull } from 'drizzle-orm'
import type { Executor } from '../client'
import { shareLink } from '../schema'

/** Bytes of a token: nobody guesses it. */
const TOKEN_BYTES = 24

/** The links of a garage's jobs. */
export function shareQueries(db: Executor, garageId: string) {
  const own = (jobId: string) =>
    and(eq(shareLink.garageId, garageId), eq(shareLink.jobId, jobId), isNull(shareLink.revokedAt))
  return {
    async ofJob(jobId: string) {
      const [row] = await db
        .select({ token: shareLink.token, createdAt: shareLink.createdAt })
        .from(shareLink)
        .where(own(jobId))
        .orderBy(desc(shareLink.createdAt))
        .limit(1)
      return row ?? null
    },
    /** Makes a link unless there is one: of several asked for at once all get the same. */
    async make(jobId: string): Promise<string> {
      const token = randomBytes(TOKEN_BYTES).toString('base64url')
      const [made] = await db
        .insert(shareLink)
        .values({ token, garageId, jobId })
        .onConflictDoNothing()
        .returning({ token: shareLink.token })
      return made?.token ?? (await this.ofJob(jobId))?.token ?? this.make(jobId)
    },
    async revoke(jobId: string) {
      await db.update(shareLink).set({ revokedAt: new Date() }).where(own(jobId))
    },
  }
}

/** Which job a link leads to, whoever asks; `null` where it is unknown or revoked. */
export async function jobOfToken(db: Executor, token: string): Promise<{ garageId: string; jobId: string } | null> {
  const [row] = await db
    .select({ garageId: shareLink.garageId, jobId: shareLink.jobId })
    .from(shareLink)
    .where(and(eq(shareLink.token, token), isNull(shareLink.revokedAt)))
  return row ?? null
}
