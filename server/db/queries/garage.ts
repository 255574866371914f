import { asc, eq } from 'drizzle-orm'
import type { GarageSettings } from '../../../contracts/jobs'
import type { Executor } from '../client'
import { garage, person } from '../schema'

export function garageQueries(db: Executor, garageId: string) {
  return {
    async settings() {
      const [row] = await db.select().from(garage).where(eq(garage.id, garageId))
      return row!
    },
    async changeSettings(settings: GarageSettings) {
      await db.update(garage).set(settings).where(eq(garage.id, garageId))
    },
    /** Adds people that the garage has not; who has their id already stays as they are. */
    async addPeople(people: { id: string; name: string }[]) {
      await db
        .insert(person)
        .values(people.map(entry => ({ ...entry, garageId })))
        .onConflictDoNothing()
    },
    /** Puts somebody on the list, or changes the name or whether they still work here. */
    async savePerson(id: string, change: { name: string; gone: boolean }) {
      const [row] = await db
        .insert(person)
        .values({ id, garageId, ...change })
        .onConflictDoUpdate({ target: person.id, set: change, setWhere: eq(person.garageId, garageId) })
        .returning({ id: person.id })
      return row !== undefined
    },
    people() {
      return db
        .select({ id: person.id, name: person.name, gone: person.gone })
        .from(person)
        .where(eq(person.garageId, garageId))
        .orderBy(asc(person.name))
    },
  }
}
