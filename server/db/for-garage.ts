import type { Executor } from './client'
import { seenBy } from './eyes'
import { erasureQueries } from './queries/erasures'
import { garageQueries } from './queries/garage'
import { jobQueries } from './queries/jobs'
import { kitQueries } from './queries/kits'
import { learnedQueries } from './queries/learned'
import { packQueries } from './queries/packs'
import { paperQueries } from './queries/papers'
import { shareQueries } from './queries/shares'
import { vehicleQueries } from './queries/vehicles'
import { whoQueries } from './queries/who'
import { wordQueries } from './queries/words'
import { wrenchQueries } from './queries/wrenches'

/**
 * The one way to the tables: every query of what comes back reads and writes rows of this garage only.
 * @param records the database, or a transaction that was begun by `inGarage`
 */
export function forGarage(records: Executor, garageId: string) {
  const db = seenBy(records, garageId)
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
    erasures: erasureQueries(db, garageId),
    who: whoQueries(db, garageId),
    words: wordQueries(db, garageId),
  }
}

export type GarageStore = ReturnType<typeof forGarage>
