import { sql } from 'drizzle-orm'
import {
  bigint,
  boolean,
  foreignKey,
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  text,
  timestamp,
  unique,
  uuid,
} from 'drizzle-orm/pg-core'
import type { AnyPgColumn } from 'drizzle-orm/pg-core'
import { garageId, ofPerson } from './garage'

export const vehicle = pgTable(
  'vehicle',
  {
    id: uuid('id').notNull(),
    garageId: garageId(),
    name: text('name').notNull(),
    make: text('make').notNull(),
    model: text('model').notNull(),
    year: integer('year').notNull(),
    customer: text('customer').notNull(),
    gears: jsonb('gears').$type<string[]>().notNull(),
    createdAt: timestamp('created_at', { withTimezone: true }).notNull().defaultNow(),
  },
  table => [
    primaryKey({ columns: [table.garageId, table.id] }),
    index('vehicle_garage').on(table.garageId, table.name),
  ],
)

/** A car of the same garage. */
export const ofVehicle = (columns: [AnyPgColumn, AnyPgColumn]) =>
  foreignKey({ columns, foreignColumns: [vehicle.garageId, vehicle.id] })

export const job = pgTable(
  'job',
  {
    id: uuid('id').notNull(),
    garageId: garageId(),
    vehicleId: uuid('vehicle_id').notNull(),
    number: integer('number').notNull(),
    createdAt: timestamp('created_at', { withTimezone: true }).notNull().defaultNow(),
  },
  table => [
    primaryKey({ columns: [table.garageId, table.id] }),
    unique('job_number').on(table.garageId, table.number),
    index('job_vehicle').on(table.garageId, table.vehicleId),
    ofVehicle([table.garageId, table.vehicleId]),
  ],
)

/** A job of the same garage. */
export const ofJob = (columns: [AnyPgColumn, AnyPgColumn]) =>
  foreignKey({ columns, foreignColumns: [job.garageId, job.id] })

/** The log. Append only: a trigger refuses to change or remove a row. In the database it lies in parts, by the hash of the garage. */
export const jobEvent = pgTable(
  'job_event',
  {
    id: uuid('id').notNull(),
    garageId: garageId(),
    jobId: uuid('job_id').notNull(),
    seq: bigint('seq', { mode: 'number' }).notNull(),
    deviceId: text('device_id').notNull(),
    /** By the device's own clock, as it said; `skewMs` is how far that was from the server's when it posted. */
    deviceTime: timestamp('device_time', { withTimezone: true, precision: 3 }).notNull(),
    skewMs: bigint('skew_ms', { mode: 'number' }).notNull().default(0),
    recordedAt: timestamp('recorded_at', { withTimezone: true, precision: 3 }).notNull().defaultNow(),
    personId: uuid('person_id').notNull(),
    /** It came when whoever did it had left the device by then, or the garage. */
    late: boolean('late').notNull().default(false),
    type: text('type').notNull(),
    payload: jsonb('payload').notNull(),
  },
  table => [
    primaryKey({ columns: [table.garageId, table.id] }),
    unique('job_event_seq').on(table.garageId, table.jobId, table.seq),
    // What is looked for through all jobs of a car or a model is a handful among millions.
    index('job_event_odometer')
      .on(table.garageId, table.jobId)
      .where(sql`${table.type} in ('job-opened', 'handed-over', 'break-in-set', 'odometer-read')`),
    index('job_event_added')
      .on(table.garageId, table.jobId)
      .where(sql`${table.type} = 'step-added'`),
    ofJob([table.garageId, table.jobId]),
    ofPerson([table.garageId, table.personId]),
  ],
)
