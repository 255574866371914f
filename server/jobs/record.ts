import { sql } from 'drizzle-orm'
import type { Executor } from '../db/client'
import { forGarage } from '../db/for-garage'
import { channelOf, newsText } from '../jobs/news'
import { project } from '../projections'
import { posted } from '../seen/measures'
import type { Told } from './told'

/**
 * Writes new events, what follows from them, and wakes everybody who looks at the job; all in one transaction.
 * @param before the job as it was; `null` for one that is new
 */
export async function record(tx: Executor, garageId: string, before: Told | null, after: Told): Promise<void> {
  const added = after.log.slice(before?.log.length ?? 0)
  if (added.length === 0) return
  const store = forGarage(tx, garageId)
  await store.jobs.append(added)
  await project(store, before, after)
  posted.inc(added.length)
  await tx.execute(
    sql`select pg_notify(${channelOf(garageId)}, ${newsText({ garageId, jobId: after.state.jobId!, seq: after.state.lastSeq })})`,
  )
}
