import { sql } from 'drizzle-orm'
import { PROJECTION_VERSION } from '../projections'
import type { Executor } from './client'
import journal from './migrations/meta/_journal.json' with { type: 'json' }

/** When the newest migration that this build knows was written; the records say the same of the newest they had. */
const OWN = journal.entries.at(-1)!.when
const NO_SUCH_TABLE = '42P01'

/**
 * Why the records are not as this build knows them, as a sentence; `null` when they are.
 * @throws the database's own error when it cannot be asked
 */
export async function schemaFault(db: Executor): Promise<string | null> {
  try {
    const { rows: [row] } = await db.execute<{ migrated: string | null, version: number | null }>(sql`
      select (select max(created_at) from drizzle.__drizzle_migrations) as migrated, (select version from projection) as version`)
    const migrated = Number(row?.migrated ?? 0)
    if (migrated > OWN) return 'The records belong to a newer Eldrin than this one. Start that one.'
    if (migrated < OWN || row?.version !== PROJECTION_VERSION) return 'The records are of an older Eldrin. Run npm run db:migrate first.'
    return null
  }
  catch (error) {
    const { code } = ((error as Error).cause ?? error) as { code?: string }
    if (code === NO_SUCH_TABLE || code === '3F000') return 'The records are not set up yet. Run npm run db:migrate first.'
    throw error
  }
}
