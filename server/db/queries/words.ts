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
    async of(jobId: string): Promise<{ words: string; number: number } | null> {
      const [row] = await db
        .select({ words: jobWords.words, number: jobWords.number })
        .from(jobWords)
        .where(and(eq(jobWords.garageId, garageId), eq(jobWords.jobId, jobId)))
      return row ?? null
    },
    async keep(jobId: string, row: { words: string; number: number }) {
      await db
        .insert(jobWords)
        .values({ jobId, garageId, ...row })
        .onConflictDoUpdate({ target: [jobWords.garageId, jobWords.jobId], set: row })
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
      const { rows } = await db.execute<{ summary: JobSummary; snippet: string }>(sql`
        select s.summary, ts_headline('simple', h.words, ${query}, 'MaxFragments=1, MaxWords=14, MinWords=5, StartSel="", StopSel=""') as snippet
        from jobs_with_words(${query}, ${most}) h
        join job_summary s on s.garage_id = ${garageId} and s.job_id = h.job_id
        order by h.number desc`)
      return rows
    },
    /** Jobs of one car, newest first. */
    async ofVehicle(vehicleId: string, most = 30): Promise<JobSummary[]> {
      const rows = await db
        .select({ summary: jobSummary.summary })
        .from(job)
        .innerJoin(jobSummary, and(eq(jobSummary.garageId, garageId), eq(jobSummary.jobId, job.id)))
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
        .innerJoin(jobSummary, and(eq(jobSummary.garageId, garageId), eq(jobSummary.jobId, job.id)))
        .where(and(eq(job.garageId, garageId), eq(jobSummary.status, 'closed'), lt(job.number, before)))
        .orderBy(desc(job.number))
        .limit(most)
      return rows.map(row => row.summary)
    },
  }
}
