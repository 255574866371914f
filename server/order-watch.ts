import { sql } from 'drizzle-orm'
import type { Database } from './db/client'
import { openOrder } from './db/schema'
import { checkOrders } from './orders'
import { Refused } from './refused'
import type { PartsSupplier } from './supplier/supplier'

/** Any number, the same in every process: who holds it asks the supplier, the others wait for the next time. */
const WATCH_LOCK = 41_739

/**
 * Asks the supplier after every order that is not here yet. One process at a time does it; a supplier that does not
 * answer is asked again the next time.
 * @returns how many jobs were told something new
 */
export async function watchOrders(db: Database, ask: <T>(ask: (supplier: PartsSupplier) => Promise<T>) => Promise<T>): Promise<number> {
  return db.transaction(async (tx) => {
    const { rows: [lock] } = await tx.execute<{ held: boolean }>(sql`select pg_try_advisory_xact_lock(${WATCH_LOCK}) as held`)
    if (!lock?.held) return 0
    const jobs = await tx.selectDistinct({ garageId: openOrder.garageId, jobId: openOrder.jobId }).from(openOrder)
    let told = 0
    for (const { garageId, jobId } of jobs) {
      try {
        if ((await checkOrders(db, garageId, jobId, ask)).changed > 0) told++
      }
      catch (error) {
        if (!(error instanceof Refused)) throw error
      }
    }
    return told
  })
}
