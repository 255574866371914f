import { drizzle } from 'drizzle-orm/node-postgres'
import { Client, Pool } from 'pg'
import type { ClientConfig } from 'pg'
import { lookAgain, nowAt } from './hosts'
import * as schema from './schema'

/** How long a statement, a connection or a place in the pool is waited for. ELDRIN_PATIENCE_SECONDS is for machines that are slower than that. */
const PATIENCE_MS = Number(process.env.ELDRIN_PATIENCE_SECONDS ?? 5) * 1000
/** A line on which nothing comes back for so long is dead; the server's own limit is heard before that. */
const SILENCE_MS = PATIENCE_MS + 1000
/** A transaction that does nothing for so long belongs to a process that is gone. */
const IDLE_IN_TRANSACTION_MS = 3 * PATIENCE_MS

/** How every connection of Eldrin speaks: nothing is waited for without an end. */
export function connectionTo(url: string): ClientConfig {
  return {
    connectionString: url,
    connectionTimeoutMillis: PATIENCE_MS,
    keepAlive: true,
    statement_timeout: PATIENCE_MS,
    query_timeout: SILENCE_MS,
    idle_in_transaction_session_timeout: IDLE_IN_TRANSACTION_MS,
  }
}

/** What a machine says that follows another and was asked to write. */
const ONLY_FOLLOWS = '25006'

/**
 * A connection that is cut when the other end is silent, so that nobody is handed a line on which an old answer is still due; of several
 * machines it goes to the one that takes writes.
 */
export class CutWhenSilent extends Client {
  private readonly addresses: string

  constructor(config: ClientConfig = {}) {
    const addresses = config.connectionString ?? ''
    super({ ...config, connectionString: nowAt(addresses) })
    this.addresses = addresses
    // Whoever waits for an answer is told by its own promise; nobody else needs to know that the line is gone.
    this.on('error', () => lookAgain(addresses))
    this.on('end', () => lookAgain(addresses))
  }

  // The library's own has many forms; what it is called with is passed on as it is.
  override query(...given: unknown[]): never {
    const asked = (super.query as (...given: unknown[]) => unknown).apply(this, given)
    if (asked instanceof Promise)
      return asked.catch((error: Error) => {
        const follows = (error as { code?: string }).code === ONLY_FOLLOWS
        if (follows || error.message === 'Query read timeout') this.cut()
        if (follows) lookAgain(this.addresses)
        throw error
      }) as never
    return asked as never
  }

  private cut(): void {
    ;(this as unknown as { connection: { stream: { destroy: () => void } } }).connection.stream.destroy()
  }
}

/** Opens a pool of connections. `close` waits for running queries. */
export function openDatabase(url: string, connections = 10) {
  const pool = new Pool({ ...connectionTo(url), Client: CutWhenSilent, max: connections, idleTimeoutMillis: 30_000 })
  // A connection that dies while nobody uses it is replaced at the next use.
  pool.on('error', () => {})
  return { pool, db: drizzle(pool, { schema }), close: () => pool.end() }
}

export type Database = ReturnType<typeof openDatabase>['db']
/** A database or a transaction in it. */
export type Executor = Pick<
  Database,
  'select' | 'selectDistinct' | 'selectDistinctOn' | 'insert' | 'update' | 'delete' | 'execute'
>
