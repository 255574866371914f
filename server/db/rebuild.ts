import { and, asc, eq, notExists } from 'drizzle-orm'
import { reduceJob } from '../../core/job'
import { project, PROJECTION_VERSION } from '../projections'
import type { Database } from './client'
import { forGarage } from './for-garage'
import { foundCause, issuedPaper, job, jobSummary, jobWords, kitFigure, openOrder, projection, workedMinutes } from './schema'

/**
 * Writes every table that follows from the logs anew, job by job: whoever posts meanwhile waits for one job at most.
 * @returns how many jobs there are
 */
export async function rebuildProjections(db: Database): Promise<number> {
  const jobs = await db.select({ id: job.id, garageId: job.garageId }).from(job).orderBy(asc(job.number))
  // What no log stands behind is in nobody's way, but shows nothing true either.
  for (const table of [jobSummary, jobWords, openOrder, foundCause, workedMinutes, issuedPaper]) {
    await db.delete(table).where(notExists(db.select({ id: job.id }).from(job).where(and(eq(job.id, table.jobId), eq(job.garageId, table.garageId)))))
  }
  // The newest of each sheet is found again among all jobs.
  await db.delete(kitFigure)
  for (const { id, garageId } of jobs) {
    await db.transaction(async (tx) => {
      const store = forGarage(tx, garageId)
      await store.jobs.hold(id)
      const log = await store.jobs.events(id)
      if (log.length > 0) await project(store, log, reduceJob(log), log)
    })
  }
  await db.insert(projection).values({ version: PROJECTION_VERSION }).onConflictDoUpdate({ target: projection.one, set: { version: PROJECTION_VERSION } })
  return jobs.length
}
