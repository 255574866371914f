import { Client } from 'pg'
import { openDatabase } from '../../server/db/client'
import { APP_ROLE, migrateDatabase } from '../../server/db/migrate'
import { seedDemo } from '../../server/demo/seed'
import { shelf } from './packs'

/** The server of PostgreSQL that bin/test started. */
export function serverUrl(): string {
  if (!process.env.TEST_PG_URL)
    throw new Error('TEST_PG_URL is not set: run bin/test, or start a PostgreSQL and name it')
  return process.env.TEST_PG_URL
}

/** The address of a database on that server; for its owner, or as the application connects. */
export function databaseUrl(name: string, role?: string): string {
  const url = new URL(serverUrl())
  url.pathname = name
  if (role) url.username = role
  return url.href
}

/** Asks on a connection of its own, since the server may have been away in between. */
async function asAdmin<T>(ask: (admin: Client) => Promise<T>): Promise<T> {
  const admin = new Client({ connectionString: serverUrl() })
  await admin.connect()
  try {
    return await ask(admin)
  } finally {
    await admin.end()
  }
}

/** A fresh database without anything in it, or like another. `query` is the owner's. */
export async function emptyDatabase(like?: string) {
  const name = `t_${crypto.randomUUID().replaceAll('-', '')}`
  await asAdmin(admin => admin.query(`create database ${name}${like ? ` template ${like}` : ''}`))
  return {
    name,
    ownerUrl: databaseUrl(name),
    url: databaseUrl(name, APP_ROLE),
    drop: () => asAdmin(admin => admin.query(`drop database ${name} with (force)`)),
  }
}

/** Every fresh database is a copy of this one, which is made once for a server of PostgreSQL. */
const SEEDED = 'eldrin_seeded'
/** Any number, the same in every process: who holds it makes the one that is copied. */
const SEEDED_LOCK = 41_741

/** Migrates and fills the database that others are copies of, unless somebody has. */
const seeded = (): Promise<string> =>
  asAdmin(async admin => {
    await admin.query('select pg_advisory_lock($1)', [SEEDED_LOCK])
    if ((await admin.query('select from pg_database where datname = $1', [SEEDED])).rowCount) return SEEDED
    const made = await emptyDatabase()
    await migrateDatabase(made.ownerUrl)
    const opened = openDatabase(made.ownerUrl, 6)
    await seedDemo(opened.db, shelf, false)
    await opened.close()
    await admin.query(`alter database ${made.name} rename to ${SEEDED}`)
    return SEEDED
  })

/** A fresh database, migrated, with the demo garage and its cars; with its jobs if asked. `url` is the application's, all else the owner's. */
export async function freshDatabase(withJobs = false) {
  const database = await emptyDatabase(withJobs ? undefined : await seeded())
  if (withJobs) await migrateDatabase(database.ownerUrl)
  const opened = openDatabase(database.ownerUrl, 6)
  if (withJobs) await seedDemo(opened.db, shelf, true)
  return {
    ...database,
    ...opened,
    /** Asks the database as its owner. */
    async sql<T extends object = Record<string, unknown>>(
      text: TemplateStringsArray,
      ...values: unknown[]
    ): Promise<T[]> {
      return (
        await opened.pool.query<T & object>(
          text.reduce((all, part, index) => `${all}$${index}${part}`),
          values,
        )
      ).rows
    },
    async drop() {
      await opened.close()
      await database.drop()
    },
  }
}

export type TestDatabase = Awaited<ReturnType<typeof freshDatabase>>
