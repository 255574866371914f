import { sql } from 'drizzle-orm'
import {
  bigint,
  boolean,
  check,
  customType,
  date,
  doublePrecision,
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  text,
  timestamp,
  unique,
  uniqueIndex,
  uuid,
} from 'drizzle-orm/pg-core'
import type { AnyPgColumn } from 'drizzle-orm/pg-core'
import type { DriveSize } from '../../core/fasteners/wrench'
import type { Figure } from '../../core/fasteners/figure'
import type { PaperKind } from '../../core/job/chapters/money/paper-doc'
import type { FastenerFacts } from '../../core/fasteners/fastener-facts'
import type { JobSummary } from '../../core/job/views/summary'
import type { Findings } from '../../core/decisions/cause-tables'
import type { ThreePoint } from '../../core/pack/kinds'
import type { WorkingHours } from '../../core/sequence/calendar'

/** Every table but `garage` carries the garage its rows belong to; queries are scoped to it in `for-garage.ts`. */

export const garage = pgTable('garage', {
  id: uuid('id').primaryKey(),
  name: text('name').notNull(),
  town: text('town').notNull(),
  /** Street and telephone, as they stand on papers. */
  address: text('address').notNull().default(''),
  words: text('words', { enum: ['us', 'uk'] })
    .notNull()
    .default('us'),
  torqueUnit: text('torque_unit', { enum: ['N·m', 'lbf·ft'] })
    .notNull()
    .default('N·m'),
  lengthUnit: text('length_unit', { enum: ['mm', 'in'] })
    .notNull()
    .default('mm'),
  distanceUnit: text('distance_unit', { enum: ['km', 'mi'] })
    .notNull()
    .default('km'),
  massUnit: text('mass_unit', { enum: ['kg', 'lb'] })
    .notNull()
    .default('kg'),
  volumeUnit: text('volume_unit', { enum: ['ml', 'US qt'] })
    .notNull()
    .default('ml'),
  /** The sign before decimals in what is typed. */
  numberFormat: text('number_format', { enum: ['point', 'comma'] })
    .notNull()
    .default('point'),
  /** Option id → choice that this garage takes where trades people disagree. */
  schools: jsonb('schools').$type<Record<string, string>>().notNull().default({}),
  /** Tools that have to be borrowed. */
  toolsMissing: jsonb('tools_missing').$type<string[]>().notNull().default([]),
  hours: jsonb('hours').$type<WorkingHours | null>(),
  /** What an hour of work costs a customer, and in which money (ISO 4217). */
  labourPerHour: doublePrecision('labour_per_hour').notNull().default(80),
  currency: text('currency').notNull().default('USD'),
  /** Tax on labour and parts, margin on parts, in hundredths; what a call-out costs. */
  taxPercent: doublePrecision('tax_percent').notNull().default(0),
  partsMarginPercent: doublePrecision('parts_margin_percent').notNull().default(0),
  callOut: doublePrecision('call_out').notNull().default(0),
  paper: text('paper', { enum: ['a4', 'letter'] })
    .notNull()
    .default('a4'),
  /** What the garage learned counts from these moments on; reset by moving them. */
  causesSince: timestamp('causes_since', { withTimezone: true }),
  minutesSince: timestamp('minutes_since', { withTimezone: true }),
  /** IANA name; days on papers are days there. */
  timeZone: text('time_zone').notNull().default('UTC'),
  latitude: doublePrecision('latitude'),
  longitude: doublePrecision('longitude'),
})

const garageId = () =>
  uuid('garage_id')
    .notNull()
    .references(() => garage.id)

export const person = pgTable('person', {
  id: uuid('id').primaryKey(),
  garageId: garageId(),
  name: text('name').notNull(),
  /** Works here no more; what the logs say of somebody stays. */
  gone: boolean('gone').notNull().default(false),
})

export const vehicle = pgTable(
  'vehicle',
  {
    id: uuid('id').primaryKey(),
    garageId: garageId(),
    name: text('name').notNull(),
    make: text('make').notNull(),
    model: text('model').notNull(),
    year: integer('year').notNull(),
    customer: text('customer').notNull(),
    gears: jsonb('gears').$type<string[]>().notNull(),
    createdAt: timestamp('created_at', { withTimezone: true }).notNull().defaultNow(),
  },
  table => [index('vehicle_garage').on(table.garageId, table.name)],
)

/** Figures from the vehicle's own book, so that the next job on it has them: those of its jobs, and those that were taken over without one. */
export const vehicleFigure = pgTable(
  'vehicle_figure',
  {
    id: uuid('id').primaryKey(),
    garageId: garageId(),
    vehicleId: uuid('vehicle_id')
      .notNull()
      .references(() => vehicle.id),
    jobId: uuid('job_id').references((): AnyPgColumn => job.id),
    group: text('fastener_group').notNull(),
    torqueNm: doublePrecision('torque_nm').notNull(),
    reference: text('reference').notNull(),
    /** What the book gives beyond the last torque: stages, thread condition, renewal. */
    spec: jsonb('spec')
      .$type<Omit<Figure, 'group' | 'torqueNm' | 'sourceKind' | 'reference' | 'entered'>>()
      .notNull()
      .default({}),
    enteredBy: uuid('entered_by')
      .notNull()
      .references(() => person.id),
    enteredAt: timestamp('entered_at', { withTimezone: true }).notNull().defaultNow(),
  },
  table => [
    unique('vehicle_figure_group').on(table.vehicleId, table.group, table.jobId).nullsNotDistinct(),
    index('vehicle_figure_job').on(table.jobId),
    check('vehicle_figure_positive', sql`${table.torqueNm} > 0`),
  ],
)

/** What the fasteners of a vehicle are, so that the next job on it knows. */
export const vehicleFastener = pgTable(
  'vehicle_fastener',
  {
    garageId: garageId(),
    vehicleId: uuid('vehicle_id')
      .notNull()
      .references(() => vehicle.id),
    jobId: uuid('job_id').references((): AnyPgColumn => job.id),
    group: text('fastener_group').notNull(),
    fastener: jsonb('fastener').$type<FastenerFacts>().notNull(),
  },
  table => [
    unique('vehicle_fastener_group').on(table.vehicleId, table.group, table.jobId).nullsNotDistinct(),
    index('vehicle_fastener_job').on(table.jobId),
  ],
)

/** The garage's torque wrenches. */
export const wrench = pgTable(
  'wrench',
  {
    id: uuid('id').primaryKey(),
    garageId: garageId(),
    name: text('name').notNull(),
    minNm: doublePrecision('min_nm').notNull(),
    maxNm: doublePrecision('max_nm').notNull(),
    drive: text('drive').$type<DriveSize>().notNull(),
    lengthMm: doublePrecision('length_mm').notNull(),
    calibratedOn: date('calibrated_on'),
  },
  table => [
    index('wrench_garage').on(table.garageId),
    check('wrench_range', sql`${table.maxNm} > ${table.minNm} and ${table.minNm} > 0`),
  ],
)

export const job = pgTable(
  'job',
  {
    id: uuid('id').primaryKey(),
    garageId: garageId(),
    vehicleId: uuid('vehicle_id')
      .notNull()
      .references(() => vehicle.id),
    number: integer('number').notNull(),
    createdAt: timestamp('created_at', { withTimezone: true }).notNull().defaultNow(),
  },
  table => [unique('job_number').on(table.garageId, table.number)],
)

/** The log. Append only: a trigger refuses to change or remove a row. */
export const jobEvent = pgTable(
  'job_event',
  {
    id: uuid('id').primaryKey(),
    garageId: garageId(),
    jobId: uuid('job_id')
      .notNull()
      .references(() => job.id),
    seq: bigint('seq', { mode: 'number' }).notNull(),
    deviceId: text('device_id').notNull(),
    /** By the device's own clock, as it said; `skewMs` is how far that was from the server's when it posted. */
    deviceTime: timestamp('device_time', { withTimezone: true, precision: 3 }).notNull(),
    skewMs: bigint('skew_ms', { mode: 'number' }).notNull().default(0),
    recordedAt: timestamp('recorded_at', { withTimezone: true, precision: 3 }).notNull().defaultNow(),
    personId: uuid('person_id')
      .notNull()
      .references(() => person.id),
    type: text('type').notNull(),
    payload: jsonb('payload').notNull(),
  },
  table => [unique('job_event_seq').on(table.jobId, table.seq)],
)

/** What the Yard lists, written in the same transaction as the events it follows from. */
export const jobSummary = pgTable(
  'job_summary',
  {
    jobId: uuid('job_id')
      .notNull()
      .references(() => job.id),
    garageId: garageId(),
    lastSeq: bigint('last_seq', { mode: 'number' }).notNull(),
    status: text('status').$type<JobSummary['status']>().notNull(),
    summary: jsonb('summary').$type<JobSummary>().notNull(),
  },
  table => [primaryKey({ columns: [table.jobId] }), index('job_summary_garage').on(table.garageId, table.status)],
)

/** Orders at the supplier that are not here yet, so that somebody asks after them; written with the events they follow from. */
export const openOrder = pgTable(
  'open_order',
  {
    orderId: uuid('order_id').primaryKey(),
    garageId: garageId(),
    jobId: uuid('job_id')
      .notNull()
      .references(() => job.id),
  },
  table => [index('open_order_job').on(table.jobId)],
)

/** Layouts that the garage made its own, each as one YAML file. */
export const garagePack = pgTable(
  'garage_pack',
  {
    garageId: garageId(),
    id: text('id').notNull(),
    yaml: text('yaml').notNull(),
    /** Counts up with every change, so that two people do not write over each other. */
    revision: integer('revision').notNull().default(1),
    changedBy: uuid('changed_by')
      .notNull()
      .references(() => person.id),
    changedAt: timestamp('changed_at', { withTimezone: true }).notNull().defaultNow(),
  },
  table => [primaryKey({ columns: [table.garageId, table.id] })],
)

/** Causes that were found, with what had been found before them: what the garage learns from. Written with the events they follow from. */
export const foundCause = pgTable(
  'found_cause',
  {
    jobId: uuid('job_id')
      .primaryKey()
      .references(() => job.id),
    garageId: garageId(),
    tableId: text('table_id').notNull(),
    causeId: text('cause_id').notNull(),
    findings: jsonb('findings').$type<Findings>().notNull(),
    foundAt: timestamp('found_at', { withTimezone: true }).notNull(),
  },
  table => [index('found_cause_garage').on(table.garageId, table.tableId, table.foundAt)],
)

/** How long pieces of work took, once a job was handed over. */
export const workedMinutes = pgTable(
  'worked_minutes',
  {
    jobId: uuid('job_id')
      .notNull()
      .references(() => job.id),
    garageId: garageId(),
    operationId: text('operation_id').notNull(),
    prior: jsonb('prior').$type<ThreePoint>().notNull(),
    minutes: doublePrecision('minutes').notNull(),
    troubled: boolean('troubled').notNull(),
    byTimer: boolean('by_timer').notNull(),
    doneAt: timestamp('done_at', { withTimezone: true }).notNull(),
  },
  table => [
    primaryKey({ columns: [table.jobId, table.operationId] }),
    index('worked_minutes_operation').on(table.garageId, table.operationId, table.doneAt),
  ],
)

/** Links for customers: who knows the token sees one job, until it is revoked. */
export const shareLink = pgTable(
  'share_link',
  {
    token: text('token').primaryKey(),
    garageId: garageId(),
    jobId: uuid('job_id')
      .notNull()
      .references(() => job.id),
    createdAt: timestamp('created_at', { withTimezone: true }).notNull().defaultNow(),
    revokedAt: timestamp('revoked_at', { withTimezone: true }),
  },
  table => [
    index('share_link_job').on(table.jobId),
    uniqueIndex('share_link_one')
      .on(table.jobId)
      .where(sql`${table.revokedAt} is null`),
  ],
)

const tsvector = customType<{ data: string }>({ dataType: () => 'tsvector' })

/** The words of a job, for looking it up: car, customer, complaint, notes, troubles, specs with their sources. */
export const jobWords = pgTable(
  'job_words',
  {
    jobId: uuid('job_id')
      .primaryKey()
      .references(() => job.id),
    garageId: garageId(),
    words: text('words').notNull(),
    found: tsvector('found').generatedAlwaysAs(sql`to_tsvector('simple', words)`),
  },
  table => [index('job_words_found').using('gin', table.found)],
)

/** Figures from kit sheets as they were named in jobs, so that the next job with the same kit has them. */
export const kitFigure = pgTable(
  'kit_figure',
  {
    garageId: garageId(),
    reference: text('reference').notNull(),
    group: text('fastener_group').notNull(),
    figure: jsonb('figure').$type<Omit<Figure, 'entered'>>().notNull(),
    jobId: uuid('job_id')
      .notNull()
      .references(() => job.id),
    namedAt: timestamp('named_at', { withTimezone: true }).notNull().defaultNow(),
  },
  table => [
    primaryKey({ columns: [table.garageId, table.reference, table.group, table.jobId] }),
    index('kit_figure_job').on(table.jobId),
  ],
)

/** Papers that were issued: their numbers run through the garage, kind by kind. What stands on one is in its job's log. */
export const issuedPaper = pgTable(
  'issued_paper',
  {
    id: uuid('id').primaryKey(),
    garageId: garageId(),
    jobId: uuid('job_id')
      .notNull()
      .references(() => job.id),
    kind: text('kind').$type<PaperKind>().notNull(),
    number: integer('number').notNull(),
  },
  table => [
    unique('issued_paper_number').on(table.garageId, table.kind, table.number),
    index('issued_paper_job').on(table.jobId),
  ],
)

/** Which way of writing the tables that follow from the log they were last written; a single row. */
export const projection = pgTable(
  'projection',
  {
    one: boolean('one').primaryKey().default(true),
    version: integer('version').notNull(),
  },
  table => [check('projection_one', sql`${table.one}`)],
)
