import type { Executor } from './client'
import { garageQueries } from './queries/garage'
import { jobQueries } from './queries/jobs'
import { kitQueries } from './queries/kits'
import { learnedQueries } from './queries/learned'
import { packQueries } from './queries/packs'
import { paperQueries } from './queries/papers'
import { shareQueries } from './queries/shares'
import { vehicleQueries } from './queries/vehicles'
import { wordQueries } from './queries/words'
import { wrenchQueries } from './queries/wrenches'

/**
 * The one way to the tables: every query of what comes back reads and writes rows of this garage only.
 * @param db the database or a transaction in it
 */
export function forGarage(db: Executor, garageId: string) {
  return {
    garageId,
    garage: garageQueries(db, garageId),
    vehicles: vehicleQueries(db, garageId),
    jobs: jobQueries(db, garageId),
    packs: packQueries(db, garageId),
    wrenches: wrenchQueries(db, garageId),
    kits: kitQueries(db, garageId),
    learned: learnedQueries(db, garageId),
    shares: shareQueries(db, garageId),
    papers: paperQueries(db, garageId),
    words: wordQueries(db, garageId),
  }
}

export type GarageStore = ReturnType<typeof forGarage>
