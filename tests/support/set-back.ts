import { rebuildProjections } from '../../server/db/rebuild'
import type { TestDatabase } from './database'

/** Sets the records of a job back to an earlier moment, as restoring a backup does; the last event that stays has number `seq`, and with 0 the job is gone. */
export async function setBack(database: TestDatabase, jobId: string, seq: number): Promise<void> {
  const client = await database.pool.connect()
  try {
    await client.query('begin')
    // A restore writes past the guard that keeps the log from being changed.
    await client.query('set local session_replication_role = replica')
    await client.query('delete from job_event where job_id = $1 and seq > $2', [jobId, seq])
    if (seq === 0)
      for (const table of ['job_summary', 'job_words', 'share_link'])
        await client.query(`delete from ${table} where job_id = $1`, [jobId])
    if (seq === 0) await client.query('delete from job where id = $1', [jobId])
    await client.query('commit')
  } catch (error) {
    await client.query('rollback')
    throw error
  } finally {
    client.release()
  }
  await rebuildProjections(database.db)
}
