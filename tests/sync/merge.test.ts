import { expect, it } from 'vitest'
import { TestLog } from '../support/job-log'
import { coverAndPart } from '../support/small-pack'
import { proveMerging } from './merge'

it('devices that meet are in one state, every act in the log or set aside, none twice (short form of npm run perf:merge)', async () => {
  const { acts, aside, ways } = await proveMerging(TestLog.open(coverAndPart()).events, 300)
  // Enough went on, and enough of it clashed.
  expect(acts).toBeGreaterThan(1000)
  expect(aside).toBeGreaterThan(50)
  expect(ways).toBeGreaterThan(10)
})
