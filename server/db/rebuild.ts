import { and, asc, eq, isNotNull, notExists } from 'drizzle-orm'
import { tell } from '../jobs/told'
import { projectAnew, PROJECTION_VERSION } from '../projections'
import type { Database } from './client'
import { forGarage } from './for-garage'
import {
  foundCause,
  issuedPaper,
  job,
  jobSummary,
  jobWords,
  kitFigure,
  openOrder,
  projection,
  vehicleFastener,
  vehicleFigure,
  workedMinutes,
} from './schema'

/** What was not as the logs have it, job by job. */
export interface Rebuilt {
  jobs: number
  differed: { number: number; what: string[] }[]
}

/** Writes every table that follows from the logs anew where it differs, job by job: whoever posts meanwhile waits for one job at most. */
export async function rebuildProjections(db: Database): Promise<Rebuilt> {
  const jobs = await db
    .select({ id: job.id, garageId: job.garageId, number: job.number })
    .from(job)
    .orderBy(asc(job.number))
  // What no log stands behind is in nobody's way, but shows nothing true either.
  for (const table of [
    jobSummary,
    jobWords,
    openOrder,
    foundCause,
    workedMinutes,
    issuedPaper,
    kitFigure,
    vehicleFigure,
    vehicleFastener,
  ]) {
    const owned = db
      .select({ id: job.id })
      .from(job)
      .where(and(eq(job.garageId, table.garageId), eq(job.id, table.jobId)))
    await db.delete(table).where(and(isNotNull(table.jobId), notExists(owned)))
  }
  const differed: Rebuilt['differed'] = []
  for (const { id, garageId, number } of jobs) {
    await db.transaction(async tx => {
      const store = forGarage(tx, garageId)
      await store.jobs.hold(id)
      const log = await store.jobs.events(id)
      const what = log.length > 0 ? await projectAnew(store, tell(log)) : []
      if (what.length > 0) differed.push({ number, what })
    })
  }
  await db
    .insert(projection)
    .values({ version: PROJECTION_VERSION })
    .onConflictDoUpdate({ target: projection.one, set: { version: PROJECTION_VERSION } })
  return { jobs: jobs.length, differed }
}
