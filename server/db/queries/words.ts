import { and, desc, eq, lt, sql } from 'drizzle-orm'
import type { JobSummary } from '../../../core/job'
import type { Executor } from '../client'
import { job, jobSummary, jobWords } from '../schema'

export interface FoundJob {
  summary: JobSummary
  snippet: string
}

/** Looking jobs up by their words, and a car's earlier ones. */
export function wordQueries(db: Executor, garageId: string) {
  return {
    async of(jobId: string): Promise<string | null> {
      const [row] = await db
        .select({ words: jobWords.words })
        .from(jobWords)
        .where(and(eq(jobWords.garageId, garageId), eq(jobWords.jobId, jobId)))
      return row?.words ?? null
    },
    async keep(jobId: string, words: string) {
      await db
        .insert(jobWords)
        .values({ jobId, garageId, words })
        .onConflictDoUpdate({ target: jobWords.jobId, set: { words } })
    },
    /** Jobs that hold every word, the last as far as it is typed; newest first. @param named names under which a word may stand in the text, too */
    async find(
      text: string,
      named: (word: string, whole: boolean) => string[] = () => [],
      most = 30,
    ): Promise<FoundJob[]> {
      const terms = text.toLowerCase().match(/[\p{L}\p{N}]+/gu) ?? []
      if (terms.length === 0) return []
      const query = sql`to_tsquery('simple', ${terms.map((term, index) => `(${[index === terms.length - 1 ? `${term}:*` : term, ...named(term, index < terms.length - 1).map(name => `'${name}'`)].join(' | ')})`).join(' & ')})`
      // Headlines are cut after the limit, from those few that are shown.
      const hits = db
        .select({ jobId: jobWords.jobId, number: job.number, words: jobWords.words })
        .from(jobWords)
        .innerJoin(job, eq(job.id, jobWords.jobId))
        .where(and(eq(jobWords.garageId, garageId), sql`${jobWords.found} @@ ${query}`))
        .orderBy(desc(job.number))
        .limit(most)
        .as('hits')
      return db
        .select({
          summary: jobSummary.summary,
          snippet: sql<string>`ts_headline('simple', ${hits.words}, ${query}, 'MaxFragments=1, MaxWords=14, MinWords=5, StartSel="", StopSel=""')`,
        })
        .from(hits)
        .innerJoin(jobSummary, eq(jobSummary.jobId, hits.jobId))
        .orderBy(desc(hits.number))
    },
    /** Jobs of one car, newest first. */
    async ofVehicle(vehicleId: string, most = 30): Promise<JobSummary[]> {
      const rows = await db
        .select({ summary: jobSummary.summary })
        .from(job)
        .innerJoin(jobSummary, eq(jobSummary.jobId, job.id))
        .where(and(eq(job.garageId, garageId), eq(job.vehicleId, vehicleId)))
        .orderBy(desc(job.number))
        .limit(most)
      return rows.map(row => row.summary)
    },
    /** Closed jobs below a number, newest first. */
    async closed(before: number, most = 30): Promise<JobSummary[]> {
      const rows = await db
        .select({ summary: jobSummary.summary })
        .from(job)
        .innerJoin(jobSummary, eq(jobSummary.jobId, job.id))
        .where(and(eq(job.garageId, garageId), eq(jobSummary.status, 'closed'), lt(job.number, before)))
        .orderBy(desc(job.number))
        .limit(most)
      return rows.map(row => row.summary)
    },
  }
}
