import { index, pgTable, primaryKey, text, timestamp, unique, uuid } from 'drizzle-orm/pg-core'
import { garageId } from './garage'
import { ofJob } from './jobs'

/** Links for customers: who knows the token sees one job, until it is ended or too old. Only the hash of a token is kept. */
export const shareLink = pgTable(
  'share_link',
  {
    id: uuid('id').notNull().defaultRandom(),
    tokenHash: text('token_hash').notNull(),
    garageId: garageId(),
    jobId: uuid('job_id').notNull(),
    createdAt: timestamp('created_at', { withTimezone: true }).notNull().defaultNow(),
    expiresAt: timestamp('expires_at', { withTimezone: true }).notNull(),
    revokedAt: timestamp('revoked_at', { withTimezone: true }),
  },
  table => [
    primaryKey({ columns: [table.garageId, table.id] }),
    unique('share_link_token').on(table.tokenHash),
    index('share_link_job').on(table.garageId, table.jobId),
    ofJob([table.garageId, table.jobId]),
  ],
)

/** Customers whose name has left the records, by their car: devices let go of what they have kept of its jobs. The name stands nowhere here. */
export const erasure = pgTable(
  'erasure',
  {
    id: uuid('id').notNull().defaultRandom(),
    garageId: garageId(),
    jobId: uuid('job_id').notNull(),
    erasedBy: uuid('erased_by').notNull(),
    erasedAt: timestamp('erased_at', { withTimezone: true }).notNull().defaultNow(),
  },
  table => [
    primaryKey({ columns: [table.garageId, table.id] }),
    index('erasure_at').on(table.garageId, table.erasedAt),
    ofJob([table.garageId, table.jobId]),
  ],
)
