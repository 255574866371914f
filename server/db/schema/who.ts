import { bigint, boolean, index, jsonb, pgTable, primaryKey, text, timestamp, unique, uuid } from 'drizzle-orm/pg-core'
import type { Role } from '../../../core/people/roles'
import { account, garageId, ofPerson } from './garage'

/** A key that a device or a stick holds in place of a password. */
export const passkey = pgTable(
  'passkey',
  {
    id: text('id').primaryKey(),
    accountId: uuid('account_id')
      .notNull()
      .references(() => account.id),
    publicKey: text('public_key').notNull(),
    counter: bigint('counter', { mode: 'number' }).notNull(),
    transports: jsonb('transports').$type<string[]>().notNull().default([]),
    backedUp: boolean('backed_up').notNull().default(false),
    /** What it is called where passkeys are listed. */
    name: text('name').notNull().default('Passkey'),
    createdAt: timestamp('created_at', { withTimezone: true }).notNull().defaultNow(),
  },
  table => [index('passkey_account').on(table.accountId)],
)

/** A device that is signed in, until it is ended. Its token is kept by its hash alone. */
export const device = pgTable(
  'device',
  {
    id: uuid('id').notNull().defaultRandom(),
    garageId: garageId(),
    /** The name that the device gives itself in every act. */
    deviceId: text('device_id').notNull(),
    name: text('name').notNull(),
    tokenHash: text('token_hash').notNull(),
    /** Who signed it in. */
    accountId: uuid('account_id')
      .notNull()
      .references(() => account.id),
    /** Who works with it now. */
    personId: uuid('person_id').notNull(),
    /** How somebody else says that it is them now. */
    asks: text('asks', { enum: ['pin', 'tag'] })
      .notNull()
      .default('tag'),
    signedInAt: timestamp('signed_in_at', { withTimezone: true }).notNull().defaultNow(),
    seenAt: timestamp('seen_at', { withTimezone: true }).notNull().defaultNow(),
    expiresAt: timestamp('expires_at', { withTimezone: true }).notNull(),
    endedAt: timestamp('ended_at', { withTimezone: true }),
    /** What it has kept is to be thrown away at its next word. */
    wipe: boolean('wipe').notNull().default(false),
  },
  table => [
    primaryKey({ columns: [table.garageId, table.id] }),
    unique('device_token').on(table.tokenHash),
    index('device_garage').on(table.garageId, table.endedAt),
    index('device_own').on(table.garageId, table.deviceId),
    ofPerson([table.garageId, table.personId]),
  ],
)

/** Who said that it is them on a device, and until when: acts that it sends later are theirs. */
export const devicePerson = pgTable(
  'device_person',
  {
    garageId: garageId(),
    deviceId: text('device_id').notNull(),
    personId: uuid('person_id').notNull(),
    since: timestamp('since', { withTimezone: true }).notNull().defaultNow(),
    lockedAt: timestamp('locked_at', { withTimezone: true }),
  },
  table => [
    primaryKey({ columns: [table.garageId, table.deviceId, table.personId] }),
    ofPerson([table.garageId, table.personId]),
  ],
)

/** A link that lets somebody in, or set a new password. Its token is kept by its hash alone. */
export const invitation = pgTable(
  'invitation',
  {
    id: uuid('id').notNull(),
    garageId: garageId(),
    tokenHash: text('token_hash').notNull(),
    kind: text('kind', { enum: ['join', 'reset', 'first'] }).notNull(),
    role: text('role').$type<Role>().notNull(),
    name: text('name').notNull(),
    /** Who of the list it is for; nobody yet where it makes somebody new. */
    personId: uuid('person_id'),
    madeBy: uuid('made_by'),
    madeAt: timestamp('made_at', { withTimezone: true }).notNull().defaultNow(),
    expiresAt: timestamp('expires_at', { withTimezone: true }).notNull(),
    endedAt: timestamp('ended_at', { withTimezone: true }),
  },
  table => [
    primaryKey({ columns: [table.garageId, table.id] }),
    unique('invitation_token').on(table.tokenHash),
    ofPerson([table.garageId, table.personId]),
    ofPerson([table.garageId, table.madeBy]),
  ],
)

/** What a browser is asked to sign, once, with a passkey; whichever process hears the answer. */
export const challenge = pgTable('challenge', {
  challenge: text('challenge').primaryKey(),
  /** Who makes a new passkey; nobody yet where one signs in. */
  accountId: uuid('account_id').references(() => account.id),
  expiresAt: timestamp('expires_at', { withTimezone: true }).notNull(),
})
