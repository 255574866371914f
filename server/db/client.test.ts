import { createServer } from 'node:net'
import type { AddressInfo } from 'node:net'
import { expect, it } from 'vitest'
import { freshDatabase } from '../../tests/support/database'
import { openDatabase } from './client'
import { isAway } from './db-errors'

/** Keeps this process's loop from turning, as a processor does that has other work. */
function standStill(milliseconds: number) {
  const until = performance.now() + milliseconds
  while (performance.now() < until);
}

it('takes no loop that stood still for records that are away', async () => {
  const database = await freshDatabase()
  const { pool, close } = openDatabase(database.url, 1, 1000)
  try {
    await pool.query('select 1')
    for (const asked of [() => pool.query('select pg_sleep(0.1), 1 as one'), () => oneOf(pool)]) {
      const answer = asked()
      // Longer than a silent line is waited for.
      setTimeout(() => standStill(2600), 20)
      expect((await answer).rows).toMatchObject([{ one: 1 }])
    }
  } finally {
    await close()
    await database.drop()
  }
})
/** Asks on a connection that is held, as a transaction does. */
async function oneOf(pool: ReturnType<typeof openDatabase>['pool']) {
  const client = await pool.connect()
  try {
    return await client.query<{ one: number }>('select pg_sleep(0.1), 1 as one')
  } finally {
    client.release()
  }
}
it('gives up on records that never answer, and on a place that never becomes free', async () => {
  const silent = createServer(() => {}).listen(0, '127.0.0.1')
  await new Promise(resolve => silent.once('listening', resolve))
  const away = openDatabase(`postgres://nobody@127.0.0.1:${(silent.address() as AddressInfo).port}/nothing`, 1, 300)
  const database = await freshDatabase()
  const full = openDatabase(database.url, 1, 300)
  try {
    expect(isAway(await away.pool.query('select 1').catch((error: unknown) => error))).toBe(true)
    const held = await full.pool.connect()
    expect(isAway(await full.pool.query('select 1').catch((error: unknown) => error))).toBe(true)
    held.release()
    // Whoever gave up holds no place.
    expect((await full.pool.query('select 1 as one')).rows).toEqual([{ one: 1 }])
  } finally {
    silent.close()
    await full.close()
    await database.drop()
  }
})
