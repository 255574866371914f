import { and, asc, desc, eq, inArray, isNotNull, ne, sql } from 'drizzle-orm'
import type { NewVehicle } from '../../../contracts/jobs'
import type { FastenerFacts, Figure } from '../../../core/fasteners'
import type { Executor } from '../client'
import { job, jobEvent, vehicle, vehicleFastener, vehicleFigure } from '../schema'

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
    /** Where the odometer of a car stood when it was last read on a job, in km, and when; `null` where it never was. */
    async lastOdometer(vehicleId: string): Promise<{ odometerKm: number, at: Date } | null> {
      const odometerKm = sql<number | null>`(${jobEvent.payload} ->> 'odometerKm')::double precision`
      const [row] = await db.select({ odometerKm, at: jobEvent.deviceTime }).from(jobEvent).innerJoin(job, eq(job.id, jobEvent.jobId))
        .where(and(eq(job.garageId, garageId), eq(job.vehicleId, vehicleId), inArray(jobEvent.type, ['job-opened', 'handed-over', 'break-in-set', 'odometer-read']), isNotNull(odometerKm)))
        .orderBy(desc(jobEvent.deviceTime)).limit(1)
      return row && row.odometerKm !== null ? { odometerKm: row.odometerKm, at: row.at } : null
    },
    /** Adds a vehicle; the same id a second time changes nothing. */
    async add(entry: NewVehicle) {
      await db.insert(vehicle).values({ ...entry, garageId }).onConflictDoNothing()
    },
    async figures(vehicleId: string): Promise<Figure[]> {
      const rows = await db.select().from(vehicleFigure).where(and(eq(vehicleFigure.garageId, garageId), eq(vehicleFigure.vehicleId, vehicleId)))
      return rows.map(row => ({ group: row.group, torqueNm: row.torqueNm, sourceKind: 'vehicle-book', reference: row.reference, ...row.spec, entered: { by: row.enteredBy, at: row.enteredAt.toISOString() } }))
    },
    /** Figures of the books of other cars of the same make and model, the newest first. */
    async figuresAlike({ id, make, model }: { id: string, make: string, model: string }): Promise<{ vehicleId: string, vehicleName: string, year: number, figure: Figure }[]> {
      const rows = await db.select({ row: vehicleFigure, vehicleName: vehicle.name, year: vehicle.year }).from(vehicleFigure).innerJoin(vehicle, eq(vehicle.id, vehicleFigure.vehicleId))
        .where(and(eq(vehicleFigure.garageId, garageId), eq(vehicle.make, make), eq(vehicle.model, model), ne(vehicle.id, id))).orderBy(desc(vehicleFigure.enteredAt)).limit(60)
      return rows.map(({ row, vehicleName, year }) => ({
        vehicleId: row.vehicleId, vehicleName, year,
        figure: { group: row.group, torqueNm: row.torqueNm, sourceKind: 'vehicle-book', reference: row.reference, ...row.spec, entered: { by: row.enteredBy, at: row.enteredAt.toISOString() } },
      }))
    },
    async fasteners(vehicleId: string): Promise<{ group: string, fastener: FastenerFacts }[]> {
      return db.select({ group: vehicleFastener.group, fastener: vehicleFastener.fastener }).from(vehicleFastener)
        .where(and(eq(vehicleFastener.garageId, garageId), eq(vehicleFastener.vehicleId, vehicleId)))
    },
    /** Keeps what a vehicle's fasteners are for the next job on it. */
    async keepFastener(vehicleId: string, group: string, fastener: FastenerFacts) {
      await db.insert(vehicleFastener).values({ garageId, vehicleId, group, fastener })
        .onConflictDoUpdate({ target: [vehicleFastener.vehicleId, vehicleFastener.group], set: { fastener } })
    },
    /** Keeps a figure of the vehicle's book for the next job on it; a newer one replaces it. */
    async keepFigure(vehicleId: string, figure: Figure, enteredBy: string) {
      const { group, torqueNm, reference, stages, pattern, condition, renew } = figure
      const spec = { ...(stages ? { stages } : {}), ...(pattern ? { pattern } : {}), ...(condition ? { condition } : {}), ...(renew ? { renew } : {}) }
      await db.insert(vehicleFigure)
        .values({ id: crypto.randomUUID(), garageId, vehicleId, group, torqueNm, reference, spec, enteredBy })
        .onConflictDoUpdate({ target: [vehicleFigure.vehicleId, vehicleFigure.group], set: { torqueNm, reference, spec, enteredBy, enteredAt: new Date() } })
    },
  }
}
