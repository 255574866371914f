import { expect } from '@playwright/test'
import { offlineDrill } from '../drills/offline'
import { seededRandom } from '../../core/base/random'
import { test } from './fixture'

test('three days without a server, with the page reloaded, closed and killed in between: nothing is lost or doubled', async ({
  emptyStage: { database },
}) => {
  // The short form of `npm run drill:offline`.
  const tally = await offlineDrill(database, { trials: 1, acts: 60, stretches: 4, seeded: seededRandom(7) })
  expect(tally).toMatchObject({ trials: 1, acts: 60, lost: 0, doubled: 0 })
  expect(tally.reloads + tally.tabsClosed + tally.kills).toBeGreaterThan(2)
})
