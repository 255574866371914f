import { drizzle } from 'drizzle-orm/node-postgres'
import { Client, Pool } from 'pg'
import type { ClientConfig, PoolClient, PoolConfig } from 'pg'
import { patience } from '../../core/base/patience'
import type { Later } from '../../core/base/patience'
import { numberSetting } from '../setting'
import { lookAgain, nowAt } from './hosts'
import * as schema from './schema'

/** How long a statement, a connection or a place in the pool is waited for. ELDRIN_PATIENCE_SECONDS is for machines that are slower than that. */
const PATIENCE_MS = numberSetting('ELDRIN_PATIENCE_SECONDS', 5, 0.1) * 1000
/** A line on which nothing comes back for so much longer is dead; the server's own limit is heard before that. */
const SILENCE_AFTER_MS = 1000

const later: Later = (act, milliseconds) => {
  const timer = setTimeout(act, milliseconds)
  return () => clearTimeout(timer)
}

interface Patient {
  /** How long it waits for a connection, or for what is asked, in ms of this process's own loop. */
  patienceMs?: number
}

/** How every connection of Eldrin speaks: nothing is waited for without an end. */
export function connectionTo(url: string, patienceMs = PATIENCE_MS): ClientConfig & Patient {
  return {
    connectionString: url,
    keepAlive: true,
    statement_timeout: patienceMs,
    // A transaction that does nothing for so long belongs to a process that is gone.
    idle_in_transaction_session_timeout: 3 * patienceMs,
    patienceMs,
  }
}

/** What a machine says that follows another and was asked to write. */
const ONLY_FOLLOWS = '25006'

type Callback = (error: Error | undefined, ...more: unknown[]) => void
/** What a method of the driver is called with, its many forms passed on as they are. */
type Given = unknown[]

/** Calls a method of the driver, in whichever of its forms, and hears when it has ended. */
function hearing(method: (...given: Given) => unknown, given: Given, ended: (error?: Error) => void): unknown {
  const callback = given.at(-1)
  if (typeof callback === 'function')
    return method(...given.slice(0, -1), ((error, ...more) => {
      ended(error)
      ;(callback as Callback)(error, ...more)
    }) satisfies Callback)
  const answer = method(...given)
  if (!(answer instanceof Promise)) {
    ended()
    return answer
  }
  return answer.then(
    value => {
      ended()
      return value as unknown
    },
    (error: Error) => {
      ended(error)
      throw error
    },
  )
}

/**
 * A connection that is cut when the other end is silent, so that nobody is handed a line on which an old answer is still due; of several
 * machines it goes to the one that takes writes.
 */
export class CutWhenSilent extends Client {
  private readonly addresses: string
  private readonly patienceMs: number

  constructor({ patienceMs, ...config }: ClientConfig & Patient = {}) {
    const addresses = config.connectionString ?? ''
    super({ ...config, connectionString: nowAt(addresses) })
    this.addresses = addresses
    this.patienceMs = patienceMs ?? PATIENCE_MS
    // Whoever waits for an answer is told by its own promise; nobody else needs to know that the line is gone.
    this.on('error', () => lookAgain(addresses))
    this.on('end', () => lookAgain(addresses))
  }

  override connect(...given: Given): never {
    const stop = patience(this.patienceMs, () => this.cut(), later)
    return hearing(super.connect.bind(this) as (...given: Given) => unknown, given, stop) as never
  }

  override query(...given: Given): never {
    const stop = patience(this.patienceMs + SILENCE_AFTER_MS, () => this.cut(), later)
    return hearing(super.query.bind(this) as (...given: Given) => unknown, given, error => {
      stop()
      if ((error as { code?: string } | undefined)?.code !== ONLY_FOLLOWS) return
      this.cut()
      lookAgain(this.addresses)
    }) as never
  }

  private cut(): void {
    ;(this as unknown as { connection: { stream: { destroy: () => void } } }).connection.stream.destroy()
  }
}

type Connected = (error: Error | undefined, client: PoolClient | undefined, release: (lost?: boolean) => void) => void

/** A pool in which nobody waits for a place without an end. */
class PatientPool extends Pool {
  constructor(config: PoolConfig & Required<Patient>) {
    super(config)
    this.patienceMs = config.patienceMs
  }

  private readonly patienceMs: number

  override connect(): Promise<PoolClient>
  override connect(callback: Connected): void
  override connect(callback?: Connected): Promise<PoolClient> | void {
    const asked = new Promise<PoolClient>((resolve, reject) => {
      let isOver = false
      const giveUp = () => {
        isOver = true
        reject(new Error('timeout exceeded when trying to connect'))
      }
      const stop = patience(this.patienceMs, giveUp, later)
      super.connect((error, client, release) => {
        stop()
        // A place that comes when nobody waits any more is given back.
        if (isOver) release()
        else if (error) reject(error)
        else resolve(client!)
      })
    })
    if (!callback) return asked
    void asked.then(
      client => callback(undefined, client, client.release.bind(client)),
      (error: Error) => callback(error, undefined, () => {}),
    )
  }
}

/** Opens a pool of connections. `close` waits for running queries. */
export function openDatabase(url: string, connections = 10, patienceMs = PATIENCE_MS) {
  const pool = new PatientPool({
    ...connectionTo(url, patienceMs),
    patienceMs,
    Client: CutWhenSilent,
    max: connections,
    idleTimeoutMillis: 30_000,
  })
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
