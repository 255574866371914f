import { sql } from 'drizzle-orm'
import { drizzle } from 'drizzle-orm/node-postgres'
import type { Pool } from 'pg'
import type { Database, Executor } from './client'

export type Transaction = Parameters<Parameters<Database['transaction']>[0]>[0]

/**
 * Whose rows a statement may see and write: one garage's, or the door's, where a token or a name is looked up before it is known whose.
 * The database itself holds every statement of the application to it; one that says nothing sees no row.
 */
interface Eyes {
  garage?: string
  door?: true
}

const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/i

function settings({ garage, door }: Eyes): string {
  if (garage !== undefined && !UUID.test(garage)) throw new TypeError(`"${garage}" is no garage.`)
  return [garage ? `set local eldrin.garage = '${garage}'` : '', door ? "set local eldrin.door = 'open'" : '']
    .filter(Boolean)
    .join('; ')
}

/** Does a transaction that sees one garage. @param alsoDoor where accounts are made or devices of other garages ended */
export function inGarage<T>(
  db: Database,
  garageId: string,
  act: (tx: Transaction) => Promise<T>,
  alsoDoor = false,
): Promise<T> {
  return db.transaction(async tx => {
    await tx.execute(sql.raw(settings({ garage: garageId, ...(alsoDoor ? { door: true } : {}) })))
    return act(tx)
  })
}

/** Statements that see one garage, each in a transaction of its own; within a transaction it is that one that sees. */
export function seenBy(db: Executor, garageId: string): Executor {
  return isPooled(db) ? through(db.$client, { garage: garageId }) : db
}

/** Statements that look up who is at the door, each in a transaction of its own. */
export function atTheDoor(db: Executor): Executor {
  return isPooled(db) ? through(db.$client, { door: true }) : db
}

const isPooled = (db: Executor): db is Database => 'connect' in ((db as Database).$client ?? {})

function through(pool: Pool, eyes: Eyes): Executor {
  const begin = `begin; ${settings(eyes)}`
  const query = async (...asked: unknown[]) => {
    const line = await pool.connect()
    let isLost = false
    try {
      await line.query(begin)
      const answer = await (line.query as (...asked: unknown[]) => Promise<unknown>)(...asked)
      await line.query('commit')
      return answer
    } catch (error) {
      await line.query('rollback').catch(() => {
        isLost = true
      })
      throw error
    } finally {
      line.release(isLost)
    }
  }
  return drizzle({ client: { query } as never })
}
