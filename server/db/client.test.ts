import { createServer } from 'node:net'
import type { AddressInfo } from 'node:net'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { freshDatabase } from '../../tests/support/database'
import type { TestDatabase } from '../../tests/support/database'
import { openDatabase } from './client'
import { isAway } from './db-errors'

/** Long enough for a busy machine to connect. */
const PATIENCE_MS = 3_000

let database: TestDatabase
beforeAll(async () => {
  database = await freshDatabase()
})
afterAll(() => database.drop())

/** Keeps this process's loop from turning, as a machine does that has other work. */
function standStill(milliseconds: number) {
  Atomics.wait(new Int32Array(new SharedArrayBuffer(4)), 0, 0, milliseconds)
}
const answered = 'select pg_sleep(0.1), 1 as one'

it('takes no loop that stood still for records that are away, on any connection and on one that is held', async () => {
  const { pool, close } = openDatabase(database.url, 2, PATIENCE_MS)
  const held = await pool.connect()
  try {
    const answers = [pool.query(answered), held.query(answered)]
    // Longer than a silent line is waited for.
    setTimeout(() => standStill(PATIENCE_MS + 2_000), 20)
    for (const answer of answers) expect((await answer).rows).toMatchObject([{ one: 1 }])
  } finally {
    held.release()
    await close()
  }
})
it('gives up on records that never answer', async () => {
  const silent = createServer(() => {}).listen(0, '127.0.0.1')
  await new Promise(resolve => silent.once('listening', resolve))
  const { port } = silent.address() as AddressInfo
  const { pool, close } = openDatabase(`postgres://nobody@127.0.0.1:${port}/nothing`, 1, 300)
  try {
    expect(isAway(await pool.query('select 1').catch((error: unknown) => error))).toBe(true)
  } finally {
    await close()
    silent.close()
  }
})
it('gives up on a place that never becomes free, and holds none after that', async () => {
  const { pool, close } = openDatabase(database.url, 1, PATIENCE_MS)
  const held = await pool.connect()
  try {
    expect(isAway(await pool.query('select 1').catch((error: unknown) => error))).toBe(true)
  } finally {
    held.release()
  }
  expect((await pool.query('select 1 as one')).rows).toEqual([{ one: 1 }])
  await close()
})
