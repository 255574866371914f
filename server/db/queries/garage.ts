import { asc, eq, sql } from 'drizzle-orm'
import type { GarageSettings } from '../../../contracts/jobs'
import type { Role } from '../../../core/people/roles'
import type { Executor } from '../client'
import { garage, person } from '../schema'

export function garageQueries(db: Executor, garageId: string) {
  return {
    async settings() {
      const [row] = await db.select().from(garage).where(eq(garage.id, garageId))
      return row!
    },
    async changeSettings(settings: Partial<GarageSettings>) {
      await db.update(garage).set(settings).where(eq(garage.id, garageId))
    },
    /** Adds people that the garage has not; who has their id already stays as they are. */
    async addPeople(people: { id: string; name: string; gone?: boolean }[]) {
      await db
        .insert(person)
        .values(people.map(entry => ({ ...entry, garageId })))
        .onConflictDoNothing()
    },
    /** Puts somebody on the list, or changes the name or whether they still work here. */
    async savePerson(id: string, change: { name: string; gone: boolean; role?: Role }) {
      const [row] = await db
        .insert(person)
        .values({ id, garageId, ...change })
        .onConflictDoUpdate({ target: [person.garageId, person.id], set: change })
        .returning({ id: person.id })
      return row !== undefined
    },
    people() {
      return db
        .select({
          id: person.id,
          name: person.name,
          gone: person.gone,
          role: person.role,
          signsIn: sql<boolean>`${person.accountId} is not null`,
          hasPin: sql<boolean>`${person.pinHash} is not null`,
        })
        .from(person)
        .where(eq(person.garageId, garageId))
        .orderBy(asc(person.name))
    },
  }
}
