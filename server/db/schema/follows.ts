import { sql } from 'drizzle-orm'
import {
  bigint,
  boolean,
  check,
  customType,
  doublePrecision,
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
import type { Figure } from '../../../core/fasteners/figure'
import type { PaperKind } from '../../../core/job/chapters/money/paper-doc'
import type { JobSummary } from '../../../core/job/views/summary'
import type { Findings } from '../../../core/decisions/cause-tables'
import type { ThreePoint } from '../../../core/pack/kinds'
import { garageId } from './garage'
import { ofJob } from './jobs'

/** What the Yard lists, written in the same transaction as the events it follows from. */
export const jobSummary = pgTable(
  'job_summary',
  {
    jobId: uuid('job_id').notNull(),
    garageId: garageId(),
    lastSeq: bigint('last_seq', { mode: 'number' }).notNull(),
    status: text('status').$type<JobSummary['status']>().notNull(),
    summary: jsonb('summary').$type<JobSummary>().notNull(),
    /** When its log grew last, by the database's clock. */
    changedAt: timestamp('changed_at', { withTimezone: true }).notNull().defaultNow(),
  },
  table => [
    primaryKey({ columns: [table.garageId, table.jobId] }),
    index('job_summary_garage').on(table.garageId, table.status),
    index('job_summary_changed').on(table.garageId, table.changedAt),
    ofJob([table.garageId, table.jobId]),
  ],
)

/** Orders at the supplier that are not here yet, so that somebody asks after them; written with the events they follow from. */
export const openOrder = pgTable(
  'open_order',
  {
    orderId: uuid('order_id').notNull(),
    garageId: garageId(),
    jobId: uuid('job_id').notNull(),
  },
  table => [
    primaryKey({ columns: [table.garageId, table.orderId] }),
    index('open_order_job').on(table.garageId, table.jobId),
    ofJob([table.garageId, table.jobId]),
  ],
)

/** Causes that were found, with what had been found before them: what the garage learns from. Written with the events they follow from. */
export const foundCause = pgTable(
  'found_cause',
  {
    jobId: uuid('job_id').notNull(),
    garageId: garageId(),
    tableId: text('table_id').notNull(),
    causeId: text('cause_id').notNull(),
    findings: jsonb('findings').$type<Findings>().notNull(),
    foundAt: timestamp('found_at', { withTimezone: true }).notNull(),
  },
  table => [
    primaryKey({ columns: [table.garageId, table.jobId] }),
    index('found_cause_garage').on(table.garageId, table.tableId, table.foundAt),
    ofJob([table.garageId, table.jobId]),
  ],
)

/** How long pieces of work took, once a job was handed over. */
export const workedMinutes = pgTable(
  'worked_minutes',
  {
    jobId: uuid('job_id').notNull(),
    garageId: garageId(),
    operationId: text('operation_id').notNull(),
    prior: jsonb('prior').$type<ThreePoint>().notNull(),
    minutes: doublePrecision('minutes').notNull(),
    troubled: boolean('troubled').notNull(),
    byTimer: boolean('by_timer').notNull(),
    doneAt: timestamp('done_at', { withTimezone: true }).notNull(),
  },
  table => [
    primaryKey({ columns: [table.garageId, table.jobId, table.operationId] }),
    index('worked_minutes_operation').on(table.garageId, table.operationId, table.doneAt),
    index('worked_minutes_newest').on(table.garageId, table.doneAt),
    ofJob([table.garageId, table.jobId]),
  ],
)

const tsvector = customType<{ data: string }>({ dataType: () => 'tsvector' })

/** The words of a job, for looking it up: car, customer, complaint, notes, troubles, specs with their sources. */
export const jobWords = pgTable(
  'job_words',
  {
    jobId: uuid('job_id').notNull(),
    garageId: garageId(),
    /** The job's number: the newest are looked at first. */
    number: integer('number').notNull().default(0),
    words: text('words').notNull(),
    found: tsvector('found').generatedAlwaysAs(sql`to_tsvector('simple', words)`),
  },
  table => [
    primaryKey({ columns: [table.garageId, table.jobId] }),
    index('job_words_found').using('gin', table.garageId, table.found),
    index('job_words_number').on(table.garageId, table.number),
    ofJob([table.garageId, table.jobId]),
  ],
)

/** Figures from kit sheets as they were named in jobs, so that the next job with the same kit has them. */
export const kitFigure = pgTable(
  'kit_figure',
  {
    garageId: garageId(),
    reference: text('reference').notNull(),
    group: text('fastener_group').notNull(),
    figure: jsonb('figure').$type<Omit<Figure, 'entered'>>().notNull(),
    jobId: uuid('job_id').notNull(),
    namedAt: timestamp('named_at', { withTimezone: true }).notNull().defaultNow(),
  },
  table => [
    primaryKey({ columns: [table.garageId, table.reference, table.group, table.jobId] }),
    index('kit_figure_job').on(table.garageId, table.jobId),
    ofJob([table.garageId, table.jobId]),
  ],
)

/** Papers that were issued: their numbers run through the garage, kind by kind. What stands on one is in its job's log. */
export const issuedPaper = pgTable(
  'issued_paper',
  {
    id: uuid('id').notNull(),
    garageId: garageId(),
    jobId: uuid('job_id').notNull(),
    kind: text('kind').$type<PaperKind>().notNull(),
    number: integer('number').notNull(),
  },
  table => [
    primaryKey({ columns: [table.garageId, table.id] }),
    unique('issued_paper_number').on(table.garageId, table.kind, table.number),
    index('issued_paper_job').on(table.garageId, table.jobId),
    ofJob([table.garageId, table.jobId]),
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
