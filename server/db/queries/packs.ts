import { and, asc, eq, sql } from 'drizzle-orm'
import type { Executor } from '../client'
import { garagePack } from '../schema'

export type PackRow = typeof garagePack.$inferSelect

export function packQueries(db: Executor, garageId: string) {
  const own = (id: string) => and(eq(garagePack.garageId, garageId), eq(garagePack.id, id))
  return {
    list(): Promise<PackRow[]> {
      return db.select().from(garagePack).where(eq(garagePack.garageId, garageId)).orderBy(asc(garagePack.id))
    },
    async find(id: string): Promise<PackRow | null> {
      const [row] = await db.select().from(garagePack).where(own(id))
      return row ?? null
    },
    /** Adds a pack. @returns whether its id was free */
    async add(id: string, yaml: string, changedBy: string): Promise<boolean> {
      const rows = await db
        .insert(garagePack)
        .values({ garageId, id, yaml, changedBy })
        .onConflictDoNothing()
        .returning({ id: garagePack.id })
      return rows.length > 0
    },
    /** Changes a pack that still stands at `revision`. @returns whether it did */
    async change(id: string, revision: number, yaml: string, changedBy: string): Promise<boolean> {
      const rows = await db
        .update(garagePack)
        .set({ yaml, changedBy, changedAt: new Date(), revision: sql`${garagePack.revision} + 1` })
        .where(and(own(id), eq(garagePack.revision, revision)))
        .returning({ id: garagePack.id })
      return rows.length > 0
    },
    async remove(id: string): Promise<boolean> {
      return (await db.delete(garagePack).where(own(id)).returning({ id: garagePack.id })).length > 0
    },
  }
}
