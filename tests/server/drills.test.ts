import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { seededRandom } from '../../core/base/random'
import { databaseDrill } from '../drills/database'
import { killDrill } from '../drills/kill'
import { restoreDrill } from '../drills/restore'
import { standbyDrill } from '../drills/standby'
import { freshDatabase } from '../support/database'
import type { TestDatabase } from '../support/database'

/** The short forms of `npm run drill:database`, `drill:kill`, `drill:standby` and `drill:restore`. */
let database: TestDatabase
beforeAll(async () => {
  database = await freshDatabase()
})
afterAll(() => database.drop())

describe('the database goes away', () => {
  it.each([
    ['refused', 'stop', 3_000],
    ['cut off', 'cut', 500],
    ['silent', 'silence', 9_000],
  ] as const)('%s: nobody hangs, nothing said yes to is lost, and all is good again', async (_name, fault, awayMs) => {
    const drill = await databaseDrill(database, { fault, awayMs, afterMs: 4_000 })
    expect(drill).toMatchObject({ lost: 0, doubled: 0, stale: 0 })
    // How many get through, and how soon, is for `npm run drill:database` to tell.
    expect(drill.acknowledged).toBeGreaterThan(6)
    expect(drill.requestsAfter).toBeGreaterThan(0)
    expect(drill.goodPercent).toBeGreaterThan(0)
  })
})

it('the server is killed under posting: nothing it said yes to is lost or doubled, and every stream hears all', async () => {
  const drill = await killDrill(database, { kills: 4, seeded: seededRandom(4) })
  expect(drill).toMatchObject({ kills: 4, lost: 0, doubled: 0, stale: 0 })
  expect(drill.acknowledged).toBeGreaterThanOrEqual(4)
})

it('the machine with the records is lost: its standby goes on, and nothing said yes to is lost', async () => {
  const drill = await standbyDrill({ devices: 2, upMs: 2_000, afterMs: 2_000 })
  expect(drill).toMatchObject({ lost: 0, doubled: 0, stale: 0 })
  expect(drill.afterwards).toBeGreaterThan(0)
})

it('records that were destroyed are back from their backups, to the end and to a moment', async () => {
  const drill = await restoreDrill({ devices: 2, runMs: 1_500 })
  expect(drill).toMatchObject({ lost: 0, doubled: 0, lostAtMoment: 0, laterAtMoment: 0, replayed: true })
  expect(drill.acknowledged).toBeGreaterThan(2)
})
