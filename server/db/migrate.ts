import { fileURLToPath } from 'node:url'
import { migrate } from 'drizzle-orm/postgres-js/migrator'
import type { Database } from './client'

/** Brings a database to the newest schema. Does nothing when it is there already. */
export function migrateDatabase(db: Database): Promise<void> {
  return migrate(db, { migrationsFolder: fileURLToPath(new URL('./migrations', import.meta.url)) })
}
