import { and, desc, eq, gt, isNull } from 'drizzle-orm'
import type { Executor } from '../client'
import { atTheDoor } from '../eyes'
import { daysFromNow } from '../from-now'
import { shareLink } from '../schema'

/** The links of a garage's jobs. */
export function shareQueries(db: Executor, garageId: string) {
  const own = (jobId: string) =>
    and(eq(shareLink.garageId, garageId), eq(shareLink.jobId, jobId), isNull(shareLink.revokedAt))
  return {
    /** Links of a job that lead there, the newest first. */
    ofJob(jobId: string) {
      return db
        .select({ id: shareLink.id, createdAt: shareLink.createdAt, expiresAt: shareLink.expiresAt })
        .from(shareLink)
        .where(and(own(jobId), gt(shareLink.expiresAt, new Date())))
        .orderBy(desc(shareLink.createdAt))
    },
    /** Makes a link; the same token a second time changes nothing. */
    async make(jobId: string, tokenHash: string, days: number): Promise<void> {
      await db
        .insert(shareLink)
        .values({ tokenHash, garageId, jobId, createdAt: new Date(), expiresAt: daysFromNow(days) })
        .onConflictDoNothing()
    },
    async revoke(jobId: string) {
      await db.update(shareLink).set({ revokedAt: new Date() }).where(own(jobId))
    },
  }
}

/** Which job a link leads to, whoever asks; `null` where it is unknown, ended or too old. */
export async function jobOfToken(db: Executor, tokenHash: string): Promise<{ garageId: string; jobId: string } | null> {
  const [row] = await atTheDoor(db)
    .select({ garageId: shareLink.garageId, jobId: shareLink.jobId })
    .from(shareLink)
    .where(and(eq(shareLink.tokenHash, tokenHash), isNull(shareLink.revokedAt), gt(shareLink.expiresAt, new Date())))
  return row ?? null
}
