import { and, asc, eq } from 'drizzle-orm'
import type { NewVehicle } from '../../../contracts/jobs'
import type { Figure } from '../../../core/fasteners'
import type { Executor } from '../client'
import { vehicle, vehicleFigure } from '../schema'

const shown = { id: vehicle.id, name: vehicle.name, make: vehicle.make, model: vehicle.model, year: vehicle.year, customer: vehicle.customer, gears: vehicle.gears }

export function vehicleQueries(db: Executor, garageId: string) {
  return {
    list() {
      return db.select(shown).from(vehicle).where(eq(vehicle.garageId, garageId)).orderBy(asc(vehicle.name))
    },
    async find(id: string) {
      const [row] = await db.select(shown).from(vehicle).where(and(eq(vehicle.garageId, garageId), eq(vehicle.id, id)))
      return row ?? null
    },
    /** Adds a vehicle; the same id a second time changes nothing. */
    async add(entry: NewVehicle) {
      await db.insert(vehicle).values({ ...entry, garageId }).onConflictDoNothing()
    },
    async figures(vehicleId: string): Promise<Figure[]> {
      const rows = await db.select().from(vehicleFigure).where(and(eq(vehicleFigure.garageId, garageId), eq(vehicleFigure.vehicleId, vehicleId)))
      return rows.map(row => ({ group: row.group, torqueNm: row.torqueNm, sourceKind: 'vehicle-book', reference: row.reference }))
    },
    /** Keeps a figure of the vehicle's book for the next job on it; a newer one replaces it. */
    async keepFigure(vehicleId: string, figure: Figure, enteredBy: string) {
      const { group, torqueNm, reference } = figure
      await db.insert(vehicleFigure)
        .values({ id: crypto.randomUUID(), garageId, vehicleId, group, torqueNm, reference, enteredBy })
        .onConflictDoUpdate({ target: [vehicleFigure.vehicleId, vehicleFigure.group], set: { torqueNm, reference, enteredBy, enteredAt: new Date() } })
    },
  }
}
