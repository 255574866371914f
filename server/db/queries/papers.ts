import { and, eq, max } from 'drizzle-orm'
import type { PaperKind } from '../../../core/formats'
import type { PaperNumber } from '../../projections/papers'
import type { Executor } from '../client'
import { issuedPaper } from '../schema'

/** Papers that a garage has issued, by their numbers. */
export function paperQueries(db: Executor, garageId: string) {
  return {
    /** The next number of a kind; whoever asks holds the garage, so that nobody else gets the same. */
    async nextNumber(kind: PaperKind): Promise<number> {
      const [row] = await db
        .select({ last: max(issuedPaper.number) })
        .from(issuedPaper)
        .where(and(eq(issuedPaper.garageId, garageId), eq(issuedPaper.kind, kind)))
      return (row?.last ?? 0) + 1
    },
    async isTaken(kind: PaperKind, number: number): Promise<boolean> {
      const [row] = await db
        .select({ id: issuedPaper.id })
        .from(issuedPaper)
        .where(and(eq(issuedPaper.garageId, garageId), eq(issuedPaper.kind, kind), eq(issuedPaper.number, number)))
      return row !== undefined
    },
    async ofJob(jobId: string): Promise<PaperNumber[]> {
      const rows = await db
        .select({ paperId: issuedPaper.id, kind: issuedPaper.kind, number: issuedPaper.number })
        .from(issuedPaper)
        .where(and(eq(issuedPaper.garageId, garageId), eq(issuedPaper.jobId, jobId)))
      return rows.sort((a, b) => (a.paperId < b.paperId ? -1 : 1))
    },
    /** Puts the papers of a job in the place of those that stood there. */
    async keep(jobId: string, papers: PaperNumber[]) {
      await db.delete(issuedPaper).where(and(eq(issuedPaper.garageId, garageId), eq(issuedPaper.jobId, jobId)))
      if (papers.length > 0)
        await db
          .insert(issuedPaper)
          .values(papers.map(({ paperId, kind, number }) => ({ id: paperId, garageId, jobId, kind, number })))
    },
  }
}
