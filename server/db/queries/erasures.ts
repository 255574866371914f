import { and, asc, eq, gt, sql } from 'drizzle-orm'
import type { Executor } from '../client'
import { erasure } from '../schema'

/** So long a device may have been away and still hears that it has to let a name go, in days. */
const TOLD_FOR = 400

/** Customers whose names have left the records of a garage. */
export function erasureQueries(db: Executor, garageId: string) {
  return {
    /** Takes the customer of a car out of every log of it. @returns the jobs it stood in */
    async erase(vehicleId: string, by: string): Promise<string[]> {
      const { rows } = await db.execute<{ id: string }>(
        sql`select erase_customer(${garageId}, ${vehicleId}, ${by}) as id`,
      )
      return rows.map(({ id }) => id)
    },
    /** Jobs that a name has left, the first first. */
    async list(): Promise<{ jobId: string; at: string }[]> {
      const rows = await db
        .select({ jobId: erasure.jobId, at: erasure.erasedAt })
        .from(erasure)
        .where(and(eq(erasure.garageId, garageId), gt(erasure.erasedAt, sql`now() - ${TOLD_FOR} * interval '1 day'`)))
        .orderBy(asc(erasure.erasedAt))
      return rows.map(({ jobId, at }) => ({ jobId, at: at.toISOString() }))
    },
  }
}
