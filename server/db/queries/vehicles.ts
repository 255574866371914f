import { and, asc, desc, eq, inArray, isNotNull, ne, sql } from 'drizzle-orm'
import type { NewVehicle } from '../../../contracts/jobs'
import { effectiveEvents } from '../../../core/job'
import type { AddedStep, JobEvent } from '../../../core/job'
import type { FastenerFacts, Figure } from '../../../core/fasteners'
import type { BookFigure } from '../../projections/vehicle'
import type { Executor } from '../client'
import { job, jobEvent, vehicle, vehicleFastener, vehicleFigure } from '../schema'

/** Cars alike are many; of their figures so many are shown. */
const MOST_ALIKE = 60
/** Of what was added on cars of a model so much is read. */
const MOST_ADDED = 2000
const MOST_JOBS_ADDED = 40

export interface AlikeFigure {
  vehicleId: string
  vehicleName: string
  year: number
  figure: Figure
}

/** What no job says is the oldest. */
const newestJob = sql`${job.number} desc nulls last`

const shown = {
  id: vehicle.id,
  name: vehicle.name,
  make: vehicle.make,
  model: vehicle.model,
  year: vehicle.year,
  customer: vehicle.customer,
  gears: vehicle.gears,
}

export function vehicleQueries(db: Executor, garageId: string) {
  const vehicleOf = async (jobId: string) =>
    (
      await db
        .select({ vehicleId: job.vehicleId })
        .from(job)
        .where(and(eq(job.garageId, garageId), eq(job.id, jobId)))
    )[0]!.vehicleId
  return {
    list() {
      return db.select(shown).from(vehicle).where(eq(vehicle.garageId, garageId)).orderBy(asc(vehicle.name))
    },
    async find(id: string) {
      const [row] = await db
        .select(shown)
        .from(vehicle)
        .where(and(eq(vehicle.garageId, garageId), eq(vehicle.id, id)))
      return row ?? null
    },
    /** Where the odometer of a car stood when it was last read on a job, in km, and when; `null` where it never was. */
    async lastOdometer(vehicleId: string): Promise<{ odometerKm: number; at: Date } | null> {
      const odometerKm = sql<number | null>`(${jobEvent.payload} ->> 'odometerKm')::double precision`
      const [row] = await db
        .select({ odometerKm, at: jobEvent.deviceTime })
        .from(jobEvent)
        .innerJoin(job, and(eq(job.garageId, jobEvent.garageId), eq(job.id, jobEvent.jobId)))
        .where(
          and(
            eq(job.garageId, garageId),
            eq(jobEvent.garageId, garageId),
            eq(job.vehicleId, vehicleId),
            inArray(jobEvent.type, ['job-opened', 'handed-over', 'break-in-set', 'odometer-read']),
            isNotNull(odometerKm),
          ),
        )
        .orderBy(desc(jobEvent.deviceTime))
        .limit(1)
      return row && row.odometerKm !== null ? { odometerKm: row.odometerKm, at: row.at } : null
    },
    /** Adds a vehicle; the same id a second time changes nothing. */
    async add(entry: NewVehicle) {
      await db
        .insert(vehicle)
        .values({ ...entry, garageId })
        .onConflictDoNothing()
    },
    /** Figures of the car's book, the newest of each group. */
    async figures(vehicleId: string): Promise<Figure[]> {
      const rows = await db
        .selectDistinctOn([vehicleFigure.group], { row: vehicleFigure })
        .from(vehicleFigure)
        .leftJoin(job, and(eq(job.garageId, garageId), eq(job.id, vehicleFigure.jobId)))
        .where(and(eq(vehicleFigure.garageId, garageId), eq(vehicleFigure.vehicleId, vehicleId)))
        .orderBy(vehicleFigure.group, desc(vehicleFigure.enteredAt), newestJob)
      return rows.map(({ row }) => enteredFigure(row))
    },
    /** Figures of the books of other cars of the same make and model, the newest first. */
    async figuresAlike({ id, make, model }: { id: string; make: string; model: string }): Promise<AlikeFigure[]> {
      const newest = db
        .selectDistinctOn([vehicleFigure.vehicleId, vehicleFigure.group], {
          row: vehicleFigure,
          vehicleName: vehicle.name,
          year: vehicle.year,
        })
        .from(vehicleFigure)
        .innerJoin(vehicle, and(eq(vehicle.garageId, garageId), eq(vehicle.id, vehicleFigure.vehicleId)))
        .where(
          and(
            eq(vehicleFigure.garageId, garageId),
            eq(vehicle.make, make),
            eq(vehicle.model, model),
            ne(vehicle.id, id),
          ),
        )
        .orderBy(vehicleFigure.vehicleId, vehicleFigure.group, desc(vehicleFigure.enteredAt))
      const rows = (await newest)
        .sort((a, b) => b.row.enteredAt.getTime() - a.row.enteredAt.getTime())
        .slice(0, MOST_ALIKE)
      return rows.map(({ row, vehicleName, year }) => ({
        vehicleId: row.vehicleId,
        vehicleName,
        year,
        figure: enteredFigure(row),
      }))
    },
    /** Steps that were added on jobs of a make and model and still count, the newest job first. */
    async addedOnModel({ make, model }: { make: string; model: string }) {
      const jobs = await db
        .selectDistinct({ id: job.id, createdAt: job.createdAt })
        .from(jobEvent)
        .innerJoin(job, and(eq(job.garageId, jobEvent.garageId), eq(job.id, jobEvent.jobId)))
        .innerJoin(vehicle, and(eq(vehicle.garageId, garageId), eq(vehicle.id, job.vehicleId)))
        .where(
          and(
            eq(jobEvent.garageId, garageId),
            eq(jobEvent.type, 'step-added'),
            eq(vehicle.make, make),
            eq(vehicle.model, model),
          ),
        )
        .orderBy(desc(job.createdAt))
        .limit(MOST_JOBS_ADDED)
      if (jobs.length === 0) return []
      const place = new Map(jobs.map(({ id }, index) => [id, index]))
      const rows = await db
        .select({ jobId: jobEvent.jobId, id: jobEvent.id, type: jobEvent.type, payload: jobEvent.payload })
        .from(jobEvent)
        .where(
          and(
            eq(jobEvent.garageId, garageId),
            inArray(jobEvent.jobId, [...place.keys()]),
            inArray(jobEvent.type, ['step-added', 'undone']),
          ),
        )
        .orderBy(asc(jobEvent.seq))
        .limit(MOST_ADDED)
      rows.sort((one, other) => place.get(one.jobId)! - place.get(other.jobId)!)
      return effectiveEvents(rows as unknown as JobEvent[])
        .filter((event): event is JobEvent<'step-added'> => event.type === 'step-added')
        .map(({ jobId, payload }) => ({ jobId, step: payload as AddedStep }))
    },
    /** What the car's fasteners are, by the newest job that says so. */
    async fasteners(vehicleId: string): Promise<{ group: string; fastener: FastenerFacts }[]> {
      return db
        .selectDistinctOn([vehicleFastener.group], { group: vehicleFastener.group, fastener: vehicleFastener.fastener })
        .from(vehicleFastener)
        .leftJoin(job, and(eq(job.garageId, garageId), eq(job.id, vehicleFastener.jobId)))
        .where(and(eq(vehicleFastener.garageId, garageId), eq(vehicleFastener.vehicleId, vehicleId)))
        .orderBy(vehicleFastener.group, newestJob)
    },
    /** Keeps a figure of the vehicle's book that comes from no job; a newer one replaces it. */
    async keepFigure(vehicleId: string, figure: Figure, enteredBy: string) {
      const row = { ...figureRow(figure), enteredBy, enteredAt: new Date() }
      await db
        .insert(vehicleFigure)
        .values({ id: crypto.randomUUID(), garageId, vehicleId, ...row })
        .onConflictDoUpdate({
          target: [vehicleFigure.garageId, vehicleFigure.vehicleId, vehicleFigure.group, vehicleFigure.jobId],
          set: row,
        })
    },
    async figuresOfJob(jobId: string): Promise<{ vehicleId: string; figures: BookFigure[] }> {
      const rows = await db
        .select()
        .from(vehicleFigure)
        .where(and(eq(vehicleFigure.garageId, garageId), eq(vehicleFigure.jobId, jobId)))
      const figures = rows.map((row): BookFigure => ({
        figure: bookFigure(row),
        enteredBy: row.enteredBy,
        enteredAt: row.enteredAt.toISOString(),
      }))
      return {
        vehicleId: await vehicleOf(jobId),
        figures: figures.sort((a, b) => (a.figure.group < b.figure.group ? -1 : 1)),
      }
    },
    async keepFiguresOfJob(jobId: string, { vehicleId, figures }: { vehicleId: string; figures: BookFigure[] }) {
      await db.delete(vehicleFigure).where(and(eq(vehicleFigure.garageId, garageId), eq(vehicleFigure.jobId, jobId)))
      if (figures.length === 0) return
      await db.insert(vehicleFigure).values(
        figures.map(({ figure, enteredBy, enteredAt }) => ({
          id: crypto.randomUUID(),
          garageId,
          vehicleId,
          jobId,
          ...figureRow(figure),
          enteredBy,
          enteredAt: new Date(enteredAt),
        })),
      )
    },
    async fastenersOfJob(
      jobId: string,
    ): Promise<{ vehicleId: string; fasteners: { group: string; fastener: FastenerFacts }[] }> {
      const fasteners = await db
        .select({ group: vehicleFastener.group, fastener: vehicleFastener.fastener })
        .from(vehicleFastener)
        .where(and(eq(vehicleFastener.garageId, garageId), eq(vehicleFastener.jobId, jobId)))
      return { vehicleId: await vehicleOf(jobId), fasteners: fasteners.sort((a, b) => (a.group < b.group ? -1 : 1)) }
    },
    async keepFastenersOfJob(
      jobId: string,
      { vehicleId, fasteners }: { vehicleId: string; fasteners: { group: string; fastener: FastenerFacts }[] },
    ) {
      await db
        .delete(vehicleFastener)
        .where(and(eq(vehicleFastener.garageId, garageId), eq(vehicleFastener.jobId, jobId)))
      if (fasteners.length > 0)
        await db.insert(vehicleFastener).values(fasteners.map(entry => ({ garageId, vehicleId, jobId, ...entry })))
    },
  }
}

type FigureRow = typeof vehicleFigure.$inferSelect

const bookFigure = ({ group, torqueNm, reference, spec }: FigureRow): Figure => ({
  group,
  torqueNm,
  sourceKind: 'vehicle-book',
  reference,
  ...spec,
})

const enteredFigure = (row: FigureRow): Figure => ({
  ...bookFigure(row),
  entered: { by: row.enteredBy, at: row.enteredAt.toISOString() },
})

function figureRow({ group, torqueNm, reference, sourceKind: _kind, entered: _entered, ...spec }: Figure) {
  return { group, torqueNm, reference, spec }
}
