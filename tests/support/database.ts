import postgres from 'postgres'
import { openDatabase } from '../../server/db/client'
import { migrateDatabase } from '../../server/db/migrate'
import { seedDemo } from '../../server/demo/seed'
import { shelf } from './packs'

/** The server of PostgreSQL that bin/test started. */
function serverUrl(): string {
  if (!process.env.TEST_PG_URL) throw new Error('TEST_PG_URL is not set: run bin/test, or start a PostgreSQL and name it')
  return process.env.TEST_PG_URL
}

/** A fresh database, migrated, with the demo garage and its cars; with its jobs if asked. */
export async function freshDatabase(withJobs = false) {
  const name = `t_${crypto.randomUUID().replaceAll('-', '')}`
  const admin = postgres(serverUrl(), { max: 1 })
  await admin.unsafe(`create database ${name}`)
  const url = serverUrl().replace(/\/[^/]*$/, `/${name}`)
  const opened = openDatabase(url, 6)
  await migrateDatabase(opened.db)
  await seedDemo(opened.db, shelf, withJobs)
  return {
    url, ...opened,
    async drop() {
      await opened.close()
      await admin.unsafe(`drop database ${name} with (force)`)
      await admin.end()
    },
  }
}

export type TestDatabase = Awaited<ReturnType<typeof freshDatabase>>
