import { and, asc, desc, eq, gt, gte, inArray, lte, max, ne, sql } from 'drizzle-orm'
import type { SQL } from 'drizzle-orm'
import { HIGHEST_JOB_NUMBER } from '../../../contracts/common'
import type { JobEvent, JobSummary } from '../../../core/job'
import type { Executor } from '../client'
import { job, jobEvent, jobSummary, openOrder } from '../schema'

/** PostgreSQL takes so many parameters in one statement; a row has eleven. */
const AT_ONCE = 1000

type EventRow = typeof jobEvent.$inferSelect

function toEvent({ deviceTime, skewMs, late, ...row }: EventRow): JobEvent {
  return {
    id: row.id,
    jobId: row.jobId,
    seq: row.seq,
    deviceId: row.deviceId,
    deviceTime: new Date(deviceTime.getTime() + skewMs).toISOString(),
    ...(skewMs === 0 ? {} : { saidAt: deviceTime.toISOString() }),
    personId: row.personId,
    ...(late ? { late: true as const } : {}),
    type: row.type,
    payload: row.payload,
  } as JobEvent
}

export type JobQueries = ReturnType<typeof jobQueries>

export function jobQueries(db: Executor, garageId: string) {
  const own = (jobId: string) => and(eq(job.garageId, garageId), eq(job.id, jobId))
  return {
    async find(jobId: string) {
      const [row] = await db.select().from(job).where(own(jobId))
      return row ?? null
    },
    /** Finds a job and holds it until the end of the transaction, so that events get their numbers one after another. */
    async hold(jobId: string) {
      const [row] = await db.select().from(job).where(own(jobId)).for('update')
      return row ?? null
    },
    async nextNumber() {
      const [row] = await db
        .select({ last: max(job.number) })
        .from(job)
        .where(and(eq(job.garageId, garageId), lte(job.number, HIGHEST_JOB_NUMBER)))
      return (row?.last ?? 100) + 1
    },
    async open(id: string, vehicleId: string, number: number) {
      await db.insert(job).values({ id, garageId, vehicleId, number })
    },
    async events(jobId: string, afterSeq = 0): Promise<JobEvent[]> {
      const rows = await db
        .select()
        .from(jobEvent)
        .where(and(eq(jobEvent.garageId, garageId), eq(jobEvent.jobId, jobId), gt(jobEvent.seq, afterSeq)))
        .orderBy(asc(jobEvent.seq))
      return rows.map(toEvent)
    },
    /** The id of the event with a number; `null` where there is none. */
    async idAt(jobId: string, seq: number): Promise<string | null> {
      const [row] = await db
        .select({ id: jobEvent.id })
        .from(jobEvent)
        .where(and(eq(jobEvent.garageId, garageId), eq(jobEvent.jobId, jobId), eq(jobEvent.seq, seq)))
      return row?.id ?? null
    },
    /** Events that are in the log already, whatever their job: an id is used once. */
    async known(ids: string[]) {
      return db
        .select({ id: jobEvent.id, jobId: jobEvent.jobId, seq: jobEvent.seq })
        .from(jobEvent)
        .where(and(eq(jobEvent.garageId, garageId), inArray(jobEvent.id, ids)))
    },
    async append(events: JobEvent[]) {
      const rows = events.map(event => ({
        id: event.id,
        garageId,
        jobId: event.jobId,
        seq: event.seq!,
        deviceId: event.deviceId,
        deviceTime: new Date(event.saidAt ?? event.deviceTime),
        skewMs: event.saidAt ? Date.parse(event.deviceTime) - Date.parse(event.saidAt) : 0,
        personId: event.personId,
        late: event.late === true,
        type: event.type,
        payload: event.payload,
      }))
      for (let from = 0; from < rows.length; from += AT_ONCE)
        await db.insert(jobEvent).values(rows.slice(from, from + AT_ONCE))
    },
    /** What the Yard has of a job; `null` where it has nothing. */
    async projected(jobId: string): Promise<{ summary: JobSummary; lastSeq: number } | null> {
      const [row] = await db
        .select({ summary: jobSummary.summary, lastSeq: jobSummary.lastSeq })
        .from(jobSummary)
        .where(and(eq(jobSummary.garageId, garageId), eq(jobSummary.jobId, jobId)))
      return row ?? null
    },
    async project(summary: JobSummary, lastSeq: number) {
      const row = { summary, lastSeq, status: summary.status, changedAt: sql`now()` as never }
      await db
        .insert(jobSummary)
        .values({ jobId: summary.jobId, garageId, ...row })
        .onConflictDoUpdate({ target: [jobSummary.garageId, jobSummary.jobId], set: row })
    },
    async openOrders(jobId: string): Promise<string[]> {
      const rows = await db
        .select({ orderId: openOrder.orderId })
        .from(openOrder)
        .where(and(eq(openOrder.garageId, garageId), eq(openOrder.jobId, jobId)))
      return rows.map(row => row.orderId).sort()
    },
    /** Which orders of a job are still to come. */
    async keepOrders(jobId: string, orderIds: string[]) {
      await db.delete(openOrder).where(and(eq(openOrder.garageId, garageId), eq(openOrder.jobId, jobId)))
      if (orderIds.length > 0)
        await db.insert(openOrder).values(orderIds.map(orderId => ({ orderId, garageId, jobId })))
    },
    /** Now, by the clock that says when a log grew. */
    async clock(): Promise<Date> {
      const { rows } = await db.execute<{ now: string }>(sql`select now()::text as now`)
      return new Date(rows[0]!.now)
    },
    /** Where the logs end that have grown since a moment of that clock. */
    async headsSince(since: Date): Promise<Map<string, number>> {
      const rows = await db
        .select({ jobId: jobSummary.jobId, lastSeq: jobSummary.lastSeq })
        .from(jobSummary)
        .where(and(eq(jobSummary.garageId, garageId), gte(jobSummary.changedAt, since)))
      return new Map(rows.map(row => [row.jobId, row.lastSeq]))
    },
    /** Every job that is not closed, and the last few that are. */
    async summaries(closed = 12): Promise<JobSummary[]> {
      const list = (which: SQL) =>
        db
          .select({ summary: jobSummary.summary })
          .from(jobSummary)
          .innerJoin(job, and(eq(job.garageId, jobSummary.garageId), eq(job.id, jobSummary.jobId)))
          .where(and(eq(jobSummary.garageId, garageId), which))
          .orderBy(desc(job.number))
      const [open, last] = await Promise.all([
        list(ne(jobSummary.status, 'closed')),
        list(eq(jobSummary.status, 'closed')).limit(closed),
      ])
      return [...open, ...last].map(row => row.summary)
    },
  }
}
