import { and, asc, desc, eq, gt, inArray } from 'drizzle-orm'
import type { ThreePoint } from '../../../core/packs'
import type { JobWorked } from '../../../core/sequence'
import type { LearnedCause, WorkedMinutes } from '../../projections/learned'
import type { Executor } from '../client'
import { foundCause, garage, workedMinutes } from '../schema'

/** Some sixty jobs: what lies further back says little of how a garage works today. */
const NEWEST_ROWS = 6_000

export interface WorkedRow {
  operationId: string
  prior: ThreePoint
  minutes: number
  troubled: boolean
  byTimer: boolean
}

/** What a garage learns from its own jobs: causes that were found, minutes that were worked. */
export function learnedQueries(db: Executor, garageId: string) {
  const since = async (column: 'causesSince' | 'minutesSince') => {
    const [row] = await db.select({ at: garage[column] }).from(garage).where(eq(garage.id, garageId))
    return row?.at ?? new Date(0)
  }
  return {
    async causeOf(jobId: string): Promise<LearnedCause | null> {
      const [row] = await db
        .select()
        .from(foundCause)
        .where(and(eq(foundCause.garageId, garageId), eq(foundCause.jobId, jobId)))
      return row
        ? { tableId: row.tableId, causeId: row.causeId, findings: row.findings, foundAt: row.foundAt.toISOString() }
        : null
    },
    async keepCause(jobId: string, cause: LearnedCause | null) {
      await db.delete(foundCause).where(and(eq(foundCause.garageId, garageId), eq(foundCause.jobId, jobId)))
      if (cause) await db.insert(foundCause).values({ jobId, garageId, ...cause, foundAt: new Date(cause.foundAt) })
    },
    async causes() {
      return db
        .select({ tableId: foundCause.tableId, cause: foundCause.causeId, findings: foundCause.findings })
        .from(foundCause)
        .where(and(eq(foundCause.garageId, garageId), gt(foundCause.foundAt, await since('causesSince'))))
        .orderBy(asc(foundCause.foundAt))
    },
    async minutesOf(jobId: string): Promise<WorkedMinutes[]> {
      const rows = await db
        .select()
        .from(workedMinutes)
        .where(and(eq(workedMinutes.garageId, garageId), eq(workedMinutes.jobId, jobId)))
      return rows
        .map(({ jobId: _job, garageId: _garage, doneAt, ...row }) => ({ ...row, doneAt: doneAt.toISOString() }))
        .sort((a, b) => (a.operationId < b.operationId ? -1 : 1))
    },
    async keepMinutes(jobId: string, rows: WorkedMinutes[]) {
      await db.delete(workedMinutes).where(and(eq(workedMinutes.garageId, garageId), eq(workedMinutes.jobId, jobId)))
      if (rows.length > 0)
        await db
          .insert(workedMinutes)
          .values(rows.map(row => ({ jobId, garageId, ...row, doneAt: new Date(row.doneAt) })))
    },
    /** @param operationIds all of them where it is left out */
    async minutes(operationIds?: string[]): Promise<WorkedRow[]> {
      return db
        .select({
          operationId: workedMinutes.operationId,
          prior: workedMinutes.prior,
          minutes: workedMinutes.minutes,
          troubled: workedMinutes.troubled,
          byTimer: workedMinutes.byTimer,
        })
        .from(workedMinutes)
        .where(
          and(
            eq(workedMinutes.garageId, garageId),
            gt(workedMinutes.doneAt, await since('minutesSince')),
            ...(operationIds ? [inArray(workedMinutes.operationId, operationIds)] : []),
          ),
        )
        .orderBy(asc(workedMinutes.doneAt))
    },
    /** The newest jobs, each with the estimates of what was worked and what it took, in the order they were done. */
    async jobs(): Promise<JobWorked[]> {
      const rows = await db
        .select({
          jobId: workedMinutes.jobId,
          prior: workedMinutes.prior,
          minutes: workedMinutes.minutes,
          troubled: workedMinutes.troubled,
        })
        .from(workedMinutes)
        .where(and(eq(workedMinutes.garageId, garageId), gt(workedMinutes.doneAt, await since('minutesSince'))))
        .orderBy(desc(workedMinutes.doneAt))
        .limit(NEWEST_ROWS)
      const jobs = new Map<string, JobWorked>()
      for (const { jobId, prior, minutes, troubled } of rows) {
        const job = jobs.get(jobId) ?? {
          estimates: [],
          actualMinutes: 0,
          troubled: { estimates: [], actualMinutes: 0 },
        }
        for (const part of troubled ? [job, job.troubled!] : [job]) {
          part.estimates.push(prior)
          part.actualMinutes += minutes
        }
        jobs.set(jobId, job)
      }
      return [...jobs.values()].reverse()
    },
    async forget(what: 'causesSince' | 'minutesSince') {
      await db
        .update(garage)
        .set({ [what]: new Date() })
        .where(eq(garage.id, garageId))
    },
  }
}
