import { and, eq, max } from 'drizzle-orm'
import type { PaperKind } from '../../../core/formats'
import type { Executor } from '../client'
import { issuedPaper } from '../schema'

/** Papers that a garage has issued, by their numbers. */
export function paperQueries(db: Executor, garageId: string) {
  return {
    /** The next number of a kind; whoever asks holds the garage, so that nobody else gets the same. */
    async nextNumber(kind: PaperKind): Promise<number> {
      const [row] = await db.select({ last: max(issuedPaper.number) }).from(issuedPaper).where(and(eq(issuedPaper.garageId, garageId), eq(issuedPaper.kind, kind)))
      return (row?.last ?? 0) + 1
    },
    async isTaken(kind: PaperKind, number: number): Promise<boolean> {
      const [row] = await db.select({ id: issuedPaper.id }).from(issuedPaper).where(and(eq(issuedPaper.garageId, garageId), eq(issuedPaper.kind, kind), eq(issuedPaper.number, number)))
      return row !== undefined
    },
    async keep(jobId: string, { paperId, kind, number }: { paperId: string, kind: PaperKind, number: number }) {
      await db.insert(issuedPaper).values({ id: paperId, garageId, jobId, kind, number }).onConflictDoNothing({ target: issuedPaper.id })
    },
  }
}
