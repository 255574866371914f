import { expect, it } from 'vitest'
import { reduceJob, summarise } from '../../core/job'
import { TestLog } from '../../tests/support/job-log'
import { coverAndPart } from '../../tests/support/small-pack'
import type { WaitingAct } from './waiting-act'
import { linesKnown } from './lines-known'

const opened = TestLog.open(coverAndPart()).events
const away = { ...opened.at(-1)!, id: 'away', seq: opened.length + 1, type: 'week-placed' as const }
const placed = (travelMinutes: number) => ({
  ...away,
  payload: { site: 'driveway' as const, travelMinutes, notBefore: null },
})
const told = summarise(reduceJob(opened))
const jobId = told.jobId
const minutes = (lines: ReturnType<typeof linesKnown>) => lines.map(line => line.site.travelMinutes)

it('a line the server told before it had the act does not take the act back', () => {
  const log = [...opened, placed(25)] as typeof opened
  const older = { ...told, lastSeq: opened.length }
  expect(minutes(linesKnown([older], [{ jobId, recorded: log, waiting: [], log }]))).toEqual([25])
})
it('what waits to be sent is in the line', () => {
  const log = [...opened, placed(25)] as typeof opened
  const waiting = [log.at(-1) as WaitingAct]
  expect(minutes(linesKnown([told], [{ jobId, recorded: opened, waiting, log }]))).toEqual([25])
})
it('a line that tells of more than this device has heard stands', () => {
  const newer = { ...summarise(reduceJob([...opened, placed(40)] as typeof opened)), lastSeq: opened.length + 1 }
  expect(minutes(linesKnown([newer], [{ jobId, recorded: opened, waiting: [], log: opened }]))).toEqual([40])
})
it('a job taken in here is there before the server has heard of it, one it has let go of is not', () => {
  const waiting = opened as WaitingAct[]
  expect(linesKnown([], [{ jobId, recorded: [], waiting, log: opened }])).toHaveLength(1)
  expect(linesKnown([], [{ jobId, recorded: opened, waiting: [], log: opened }])).toEqual([])
})
