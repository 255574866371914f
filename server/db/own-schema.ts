import { sql } from 'drizzle-orm'
import { PROJECTION_VERSION } from '../projections'
import type { Executor } from './client'
import journal from './migrations/meta/_journal.json' with { type: 'json' }

/** When the newest migration that this build knows was written; the records say the same of the newest they had. */
const OWN = journal.entries.at(-1)!.when
const NO_SUCH_TABLE = '42P01'
const NO_SUCH_SCHEMA = '3F000'

/** How records can stand that are not as this build knows them. */
export type SchemaFault = 'none' | 'older' | 'newer'

export const schemaWords: Record<SchemaFault, string> = {
  none: 'The records are not set up yet. Run npm run db:migrate first.',
  older: 'The records are of an older Eldrin. Run npm run db:migrate first.',
  newer: 'The records belong to a newer Eldrin than this one. Start that one.',
}

/**
 * How the records differ from what this build knows; `null` when they do not.
 * @throws the database's own error when it cannot be asked
 */
export async function schemaFault(db: Executor): Promise<SchemaFault | null> {
  try {
    const {
      rows: [row],
    } = await db.execute<{ migrated: string | null; version: number | null }>(sql`
      select (select max(created_at) from drizzle.__drizzle_migrations) as migrated, (select version from projection) as version`)
    const [migrated, version] = [Number(row?.migrated ?? 0), row?.version ?? 0]
    if (migrated > OWN || version > PROJECTION_VERSION) return 'newer'
    return migrated < OWN || version < PROJECTION_VERSION ? 'older' : null
  } catch (error) {
    const { code } = ((error as Error).cause ?? error) as { code?: string }
    if (code === NO_SUCH_TABLE || code === NO_SUCH_SCHEMA) return 'none'
    throw error
  }
}
