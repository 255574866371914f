import { sql } from 'drizzle-orm'
import {
  boolean,
  check,
  date,
  doublePrecision,
  foreignKey,
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
import type { DriveSize } from '../../../core/fasteners/wrench'
import type { ToolTerms } from '../../../core/decisions/tool-ways'
import type { Role } from '../../../core/people/roles'
import type { WorkingHours } from '../../../core/sequence/calendar'

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
  /** Tool id → what it costs to buy, rent or fetch. */
  toolTerms: jsonb('tool_terms').$type<Record<string, ToolTerms>>().notNull().default({}),
  hours: jsonb('hours').$type<WorkingHours | null>(),
  /** What an hour of work costs a customer, and in which money (ISO 4217). */
  labourPerHour: doublePrecision('labour_per_hour').notNull().default(80),
  currency: text('currency').notNull().default('USD'),
  /** Tax on labour and parts, margin on parts, in hundredths; what a call-out costs. */
  taxPercent: doublePrecision('tax_percent').notNull().default(0),
  partsMarginPercent: doublePrecision('parts_margin_percent').notNull().default(0),
  callOut: doublePrecision('call_out').notNull().default(0),
  /** By which share of cases an estimate's hours are enough; the sum of likeliest minutes where it is not said. */
  priceShare: doublePrecision('price_share'),
  /** What a day late costs the garage, and a day that a car stands ready too early. */
  /** By how many hundredths what is paid a year later counts less. */
  laterPercent: doublePrecision('later_percent').notNull().default(3),
  latePerDay: doublePrecision('late_per_day').notNull().default(0),
  earlyPerDay: doublePrecision('early_per_day').notNull().default(0),
  /** Tools that stay at hand within a stay. */
  trayTools: integer('tray_tools').notNull().default(8),
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

/** The garage that a row belongs to. */
export const garageId = () =>
  uuid('garage_id')
    .notNull()
    .references(() => garage.id)

/** Somebody who can sign in, in whatever garages they belong to. */
export const account = pgTable('account', {
  id: uuid('id').primaryKey().defaultRandom(),
  /** What is typed to sign in, in small letters. */
  signIn: text('sign_in').notNull().unique(),
  passwordHash: text('password_hash').notNull(),
  createdAt: timestamp('created_at', { withTimezone: true }).notNull().defaultNow(),
})

/** Somebody who works in a garage. Who only taps a name on the garage's phone needs no account. */
export const person = pgTable(
  'person',
  {
    id: uuid('id').notNull(),
    garageId: garageId(),
    name: text('name').notNull(),
    role: text('role').$type<Role>().notNull().default('mechanic'),
    accountId: uuid('account_id').references(() => account.id),
    pinHash: text('pin_hash'),
    /** Works here no more; what the logs say of somebody stays. */
    gone: boolean('gone').notNull().default(false),
  },
  table => [
    primaryKey({ columns: [table.garageId, table.id] }),
    unique('person_account').on(table.garageId, table.accountId),
  ],
)

/** Somebody of the same garage. */
export const ofPerson = (columns: [AnyPgColumn, AnyPgColumn]) =>
  foreignKey({ columns, foreignColumns: [person.garageId, person.id] })

/** The garage's torque wrenches. */
export const wrench = pgTable(
  'wrench',
  {
    id: uuid('id').notNull(),
    garageId: garageId(),
    name: text('name').notNull(),
    minNm: doublePrecision('min_nm').notNull(),
    maxNm: doublePrecision('max_nm').notNull(),
    drive: text('drive').$type<DriveSize>().notNull(),
    lengthMm: doublePrecision('length_mm').notNull(),
    calibratedOn: date('calibrated_on'),
  },
  table => [
    primaryKey({ columns: [table.garageId, table.id] }),
    check('wrench_range', sql`${table.maxNm} > ${table.minNm} and ${table.minNm} > 0`),
  ],
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
    changedBy: uuid('changed_by').notNull(),
    changedAt: timestamp('changed_at', { withTimezone: true }).notNull().defaultNow(),
  },
  table => [primaryKey({ columns: [table.garageId, table.id] }), ofPerson([table.garageId, table.changedBy])],
)
