import { sql } from 'drizzle-orm'
import {
  check,
  doublePrecision,
  index,
  jsonb,
  pgTable,
  primaryKey,
  text,
  timestamp,
  unique,
  uuid,
} from 'drizzle-orm/pg-core'
import type { Figure } from '../../../core/fasteners/figure'
import type { FastenerFacts } from '../../../core/fasteners/fastener-facts'
import { garageId, ofPerson } from './garage'
import { ofJob, ofVehicle } from './jobs'

/** Figures from the vehicle's own book, so that the next job on it has them: those of its jobs, and those that were taken over without one. */
export const vehicleFigure = pgTable(
  'vehicle_figure',
  {
    id: uuid('id').notNull(),
    garageId: garageId(),
    vehicleId: uuid('vehicle_id').notNull(),
    jobId: uuid('job_id'),
    group: text('fastener_group').notNull(),
    torqueNm: doublePrecision('torque_nm').notNull(),
    reference: text('reference').notNull(),
    /** What the book gives beyond the last torque: stages, thread condition, renewal. */
    spec: jsonb('spec')
      .$type<Omit<Figure, 'group' | 'torqueNm' | 'sourceKind' | 'reference' | 'entered'>>()
      .notNull()
      .default({}),
    enteredBy: uuid('entered_by').notNull(),
    enteredAt: timestamp('entered_at', { withTimezone: true }).notNull().defaultNow(),
  },
  table => [
    primaryKey({ columns: [table.garageId, table.id] }),
    unique('vehicle_figure_group').on(table.garageId, table.vehicleId, table.group, table.jobId).nullsNotDistinct(),
    index('vehicle_figure_job').on(table.garageId, table.jobId),
    ofVehicle([table.garageId, table.vehicleId]),
    ofJob([table.garageId, table.jobId]),
    ofPerson([table.garageId, table.enteredBy]),
    check('vehicle_figure_positive', sql`${table.torqueNm} > 0`),
  ],
)

/** What the fasteners of a vehicle are, so that the next job on it knows. */
export const vehicleFastener = pgTable(
  'vehicle_fastener',
  {
    garageId: garageId(),
    vehicleId: uuid('vehicle_id').notNull(),
    jobId: uuid('job_id'),
    group: text('fastener_group').notNull(),
    fastener: jsonb('fastener').$type<FastenerFacts>().notNull(),
  },
  table => [
    unique('vehicle_fastener_group').on(table.garageId, table.vehicleId, table.group, table.jobId).nullsNotDistinct(),
    index('vehicle_fastener_job').on(table.garageId, table.jobId),
    ofVehicle([table.garageId, table.vehicleId]),
    ofJob([table.garageId, table.jobId]),
  ],
)
