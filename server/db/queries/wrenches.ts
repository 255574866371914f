import { and, asc, eq } from 'drizzle-orm'
import type { WrenchBody } from '../../../contracts/wrenches'
import type { TorqueWrench } from '../../../core/fasteners'
import type { Executor } from '../client'
import { wrench } from '../schema'

const shown = {
  id: wrench.id,
  name: wrench.name,
  minNm: wrench.minNm,
  maxNm: wrench.maxNm,
  drive: wrench.drive,
  lengthMm: wrench.lengthMm,
  calibratedOn: wrench.calibratedOn,
}

export function wrenchQueries(db: Executor, garageId: string) {
  const own = (id: string) => and(eq(wrench.garageId, garageId), eq(wrench.id, id))
  return {
    list(): Promise<TorqueWrench[]> {
      return db
        .select(shown)
        .from(wrench)
        .where(eq(wrench.garageId, garageId))
        .orderBy(asc(wrench.maxNm), asc(wrench.id))
    },
    /** Adds a wrench or changes it. @returns whether it is this garage's now */
    async put(id: string, body: WrenchBody): Promise<boolean> {
      const rows = await db
        .insert(wrench)
        .values({ id, garageId, ...body })
        .onConflictDoUpdate({ target: [wrench.garageId, wrench.id], set: body })
        .returning({ id: wrench.id })
      return rows.length > 0
    },
    /** @returns whether there was one */
    async remove(id: string): Promise<boolean> {
      return (await db.delete(wrench).where(own(id)).returning({ id: wrench.id })).length > 0
    },
  }
}
