import type { Executor } from './client'
import { garageQueries } from './queries/garage'
import { jobQueries } from './queries/jobs'
import { packQueries } from './queries/packs'
import { vehicleQueries } from './queries/vehicles'
import { wrenchQueries } from './queries/wrenches'

/**
 * The one way to the tables: every query of what comes back reads and writes rows of this garage only.
 * @param db the database or a transaction in it
 */
export function forGarage(db: Executor, garageId: string) {
  return { garage: garageQueries(db, garageId), vehicles: vehicleQueries(db, garageId), jobs: jobQueries(db, garageId), packs: packQueries(db, garageId), wrenches: wrenchQueries(db, garageId) }
}

export type GarageStore = ReturnType<typeof forGarage>
