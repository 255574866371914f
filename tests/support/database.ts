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

/** A statement on a connection of its own, since the server may have been away in between. */
async function asAdmin(statement: string): Promise<void> {
  const admin = new Client({ connectionString: serverUrl() })
  await admin.connect()
  try {
    await admin.query(statement)
  } finally {
    await admin.end()
  }
}

/** A fresh database without anything in it. `query` is the owner's. */
export async function emptyDatabase() {
  const name = `t_${crypto.randomUUID().replaceAll('-', '')}`
  await asAdmin(`create database ${name}`)
  return {
    name,
    ownerUrl: databaseUrl(name),
    url: databaseUrl(name, APP_ROLE),
    drop: () => asAdmin(`drop database ${name} with (force)`),
  }
}

/** A fresh database, migrated, with the demo garage and its cars; with its jobs if asked. `url` is the application's, all else the owner's. */
export async function freshDatabase(withJobs = false) {
  const database = await emptyDatabase()
  await migrateDatabase(database.ownerUrl)
  const opened = openDatabase(database.ownerUrl, 6)
  await seedDemo(opened.db, shelf, withJobs)
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
