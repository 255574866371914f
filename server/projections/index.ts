import type { GarageStore } from '../db/for-garage'
import type { Told } from '../jobs/told'
import { causes, minutes } from './learned'
import { kits } from './kits'
import { orders } from './orders'
import { papers } from './papers'
import { writeAnew, writeChange } from './projection'
import type { Projection } from './projection'
import { summary } from './summary'
import { fasteners, figures } from './vehicle'
import { words } from './words'

/** Counts up with every change of what is written here, so that a newer Eldrin writes all of it anew. */
export const PROJECTION_VERSION = 6

/** Every table that follows from the logs. */
export const projections: Projection<never>[] = [
  summary,
  words,
  orders,
  figures,
  fasteners,
  kits,
  causes,
  minutes,
  papers,
] as never

/** Writes what follows from a job, as far as its new events change it. @param before `null` for a job that is new */
export async function project(store: GarageStore, before: Told | null, after: Told): Promise<void> {
  for (const projection of projections) await writeChange(projection, store, before, after)
}

/** Writes all that follows from a job anew. @returns names of what was not as the log has it */
export async function projectAnew(store: GarageStore, job: Told): Promise<string[]> {
  const differed: string[] = []
  for (const projection of projections) if (await writeAnew(projection, store, job)) differed.push(projection.name)
  return differed
}
