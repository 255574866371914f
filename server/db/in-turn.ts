import { sql } from 'drizzle-orm'
import pLimit from 'p-limit'
import type { LimitFunction } from 'p-limit'
import type { Database } from './client'
import { inGarage } from './eyes'
import type { Transaction } from './eyes'

const turns = new Map<string, LimitFunction>()

/**
 * Does a transaction that takes the next number of a garage: one at a time, in this process and in all others. Who waits here holds
 * no connection and no statement that could run out of patience; the lock is for the other processes.
 */
export function inTurn<T>(db: Database, garageId: string, act: (tx: Transaction) => Promise<T>): Promise<T> {
  return turnOf(garageId)(() =>
    inGarage(db, garageId, async tx => {
      await tx.execute(sql`select pg_advisory_xact_lock(hashtext(${garageId}))`)
      return act(tx)
    }),
  )
}

function turnOf(garageId: string): LimitFunction {
  const known = turns.get(garageId)
  if (known) return known
  const turn = pLimit(1)
  turns.set(garageId, turn)
  return turn
}
