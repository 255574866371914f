import { fileURLToPath } from 'node:url'
import { drizzle } from 'drizzle-orm/node-postgres'
import { migrate } from 'drizzle-orm/node-postgres/migrator'
import { Client } from 'pg'
import { schemaFault, schemaWords } from './own-schema'
import { rebuildProjections } from './rebuild'
import * as schema from './schema'

/** Any number, the same in every process: who holds it migrates, the others wait. */
const MIGRATION_LOCK = 41_740

/** The role that the application connects as: it reads and writes, and can neither change nor empty the log. */
export const APP_ROLE = 'eldrin_app'

/**
 * Brings a database to the newest schema, writes what follows from the logs anew where that has changed, and gives the
 * application's role its rights. Does nothing when all is there already; two at once wait for each other.
 * @param url of the owner of the database
 * @throws Error on records of a newer Eldrin, which stay as they are
 */
export async function migrateDatabase(url: string): Promise<void> {
  const client = new Client({ connectionString: url })
  await client.connect()
  const db = Object.assign(drizzle(client, { schema }), { $client: client }) as never
  try {
    await client.query('select pg_advisory_lock($1)', [MIGRATION_LOCK])
    if ((await schemaFault(db)) === 'newer') throw new Error(schemaWords.newer)
    await migrate(db, { migrationsFolder: fileURLToPath(new URL('./migrations', import.meta.url)) })
    await giveRights(client)
    if (await schemaFault(db)) await rebuildProjections(db)
  } finally {
    await client.end()
  }
}

async function giveRights(client: Client): Promise<void> {
  await client.query(`
    do $$ begin create role ${APP_ROLE} login; exception when duplicate_object or unique_violation then null; end $$;
    grant usage on schema public, drizzle to ${APP_ROLE};
    grant select on all tables in schema public, drizzle to ${APP_ROLE};
    grant insert, update, delete on all tables in schema public to ${APP_ROLE};
    revoke update, delete, truncate on job_event from ${APP_ROLE};
    revoke insert, update, delete on projection from ${APP_ROLE};
    revoke insert, update, delete on erasure from ${APP_ROLE};
    grant execute on function erase_customer, jobs_with_words to ${APP_ROLE};
  `)
}
