import { isDeepStrictEqual } from 'node:util'
import type { GarageStore } from '../db/for-garage'
import type { Told } from '../jobs/told'

/** What follows from a job's log, in one table: all of it from this job alone, so that it can be written anew at any time. */
export interface Projection<Rows> {
  /** What it is called where it differs. */
  name: string
  of: (job: Told, garageId: string) => Rows
  /** What stands in the table now, as `of` would have it. */
  read: (store: GarageStore, jobId: string) => Promise<Rows>
  /** Puts the rows in the place of all that stood there of this job. */
  write: (store: GarageStore, jobId: string, rows: Rows) => Promise<void>
}

/** Writes a projection where it is not what it was. @param before `null` where nothing followed yet */
export async function writeChange<Rows>(
  { of, write }: Projection<Rows>,
  store: GarageStore,
  before: Told | null,
  after: Told,
): Promise<void> {
  const rows = of(after, store.garageId)
  if (before === null || !isDeepStrictEqual(of(before, store.garageId), rows))
    await write(store, after.state.jobId!, rows)
}

/** Writes a projection anew where it is not what the log says. @returns whether it was not */
export async function writeAnew<Rows>(
  { of, read, write }: Projection<Rows>,
  store: GarageStore,
  job: Told,
): Promise<boolean> {
  const rows = of(job, store.garageId)
  if (isDeepStrictEqual(await read(store, job.state.jobId!), rows)) return false
  await write(store, job.state.jobId!, rows)
  return true
}
