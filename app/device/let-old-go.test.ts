import { beforeEach, expect, it } from 'vitest'
import { TestLog } from '../../tests/support/job-log'
import { coverAndPart } from '../../tests/support/small-pack'
import type { JobEvent } from '../../core/job'
import type { Keep } from './keep'
import { KEPT_FOR_MS, letOldGo } from './let-old-go'
import { memoryKeep } from './memory-keep'

const now = 1_800_000_000_000
const long = now - KEPT_FOR_MS - 1
let keep: Keep
const jobs = ['open', 'closed', 'recent', 'waits', 'asks', 'beyond', 'unknown']
const logOf = (jobId: string, log: TestLog): JobEvent[] => log.events.map(event => ({ ...event, jobId }))

beforeEach(async () => {
  keep = memoryKeep()
  const running = TestLog.open(coverAndPart())
  const closed = TestLog.open(coverAndPart())
  closed.add('called-off', { reason: 'The car was sold' })
  for (const job of jobs) await keep.record(job, logOf(job, job === 'open' ? running : closed))
  await keep.add([{ ...logOf('waits', closed).at(-1)!, id: 'w', seq: null }])
  await keep.keepErrand({ id: 'e', jobId: 'asks', what: 'x', path: '/', body: {}, at: '2026-03-02T08:00:00.000Z' })
  await keep.part('beyond', logOf('beyond', closed), [{ ...logOf('beyond', closed).at(-1)!, id: 'b', seq: 9 }])
})

it('lets closed jobs go that nobody opened for long, and never anything that waits', async () => {
  const { unknown: _unknown, ...opened } = Object.fromEntries(
    jobs.map(job => [job, job === 'recent' ? now - 1000 : long]),
  )
  expect(await letOldGo(keep, opened, now)).toEqual(['closed'])
  expect((await keep.jobsRecorded()).sort()).toEqual(jobs.filter(job => job !== 'closed').sort())
})
it('keeps everything while it is young', async () => {
  expect(await letOldGo(keep, Object.fromEntries(jobs.map(job => [job, long + 2])), now)).toEqual([])
})
