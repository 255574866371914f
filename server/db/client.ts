import { drizzle } from 'drizzle-orm/postgres-js'
import postgres from 'postgres'
import * as schema from './schema'

/** Opens a pool of connections. `close` waits for running queries. */
export function openDatabase(url: string, connections = 10) {
  const sql = postgres(url, { max: connections, onnotice: () => {} })
  return { sql, db: drizzle(sql, { schema }), close: () => sql.end({ timeout: 5 }) }
}

export type Database = ReturnType<typeof openDatabase>['db']
export type Sql = ReturnType<typeof openDatabase>['sql']
/** A database or a transaction in it. */
export type Executor = Pick<Database, 'select' | 'insert' | 'update' | 'delete' | 'execute'>
