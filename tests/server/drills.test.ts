import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { databaseDrill } from '../drills/database'
import { killDrill } from '../drills/kill'
import { freshDatabase } from '../support/database'
import type { TestDatabase } from '../support/database'

/** The short forms of `npm run drill:database` and `npm run drill:kill`. */
let database: TestDatabase
beforeAll(async () => { database = await freshDatabase() })
afterAll(() => database.drop())

describe('the database goes away', () => {
  it.each([['refused', 'stop', 3_000], ['cut off', 'cut', 500], ['silent', 'silence', 9_000]] as const)('%s: nobody hangs, nothing said yes to is lost, and all is good again in seconds', async (_name, fault, awayMs) => {
    const drill = await databaseDrill(database, { fault, awayMs, afterMs: 4_000 })
    expect(drill).toMatchObject({ lost: 0, doubled: 0, stale: 0 })
    // However slow the machine is, every device got through.
    expect(drill.acknowledged).toBeGreaterThan(6)
    expect(drill.requestsAfter).toBeGreaterThan(10)
    expect(drill.goodPercent).toBeGreaterThanOrEqual(99)
    expect(drill.longestSeconds).toBeLessThan(12)
  }, 90_000)
})

it('the server is killed under posting: nothing it said yes to is lost or doubled, and every stream hears all', async () => {
  const drill = await killDrill(database, { kills: 8 })
  expect(drill).toMatchObject({ kills: 8, lost: 0, doubled: 0, stale: 0 })
  expect(drill.acknowledged).toBeGreaterThanOrEqual(4)
}, 120_000)
