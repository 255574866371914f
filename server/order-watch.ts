import { connectionTo, CutWhenSilent } from './db/client'
import type { Database } from './db/client'
import { atTheDoor } from './db/eyes'
import { directUrl, writableUrl } from './db/hosts'
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
export async function watchOrders(
  db: Database,
  ask: <T>(ask: (supplier: PartsSupplier) => Promise<T>) => Promise<T>,
): Promise<number> {
  // The lock is of a line of its own for as long as it takes: a transaction that waits for a supplier would hold up others.
  const line = await lineOf(db)
  try {
    const {
      rows: [lock],
    } = await line.query<{ held: boolean }>('select pg_try_advisory_lock($1) as held', [WATCH_LOCK])
    if (!lock?.held) return 0
    const jobs = await atTheDoor(db)
      .selectDistinct({ garageId: openOrder.garageId, jobId: openOrder.jobId })
      .from(openOrder)
    let told = 0
    for (const { garageId, jobId } of jobs) {
      try {
        if ((await checkOrders(db, garageId, jobId, ask)).changed > 0) told++
      } catch (error) {
        if (!(error instanceof Refused)) throw error
      }
    }
    return told
  } finally {
    await line.query('select pg_advisory_unlock($1)', [WATCH_LOCK]).then(
      () => line.end(false),
      () => line.end(true),
    )
  }
}

/** A line that nobody else uses meanwhile: past a pool of connections that stands in front of the records, where there is one. */
async function lineOf(db: Database) {
  if (!process.env.DATABASE_DIRECT_URL) {
    const line = await db.$client.connect()
    return { query: line.query.bind(line), end: (isLost: boolean) => line.release(isLost) }
  }
  const line = new CutWhenSilent(connectionTo(await writableUrl(directUrl())))
  line.on('error', () => {})
  await line.connect()
  return { query: line.query.bind(line), end: () => void line.end().catch(() => {}) }
}
