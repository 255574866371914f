import { setMaxListeners } from 'node:events'
import { forGarage } from '../../server/db/for-garage'
import { asShipped, startApp } from '../support/app'
import type { TestDatabase } from '../support/database'
import { lineTo } from '../support/line'
import type { Line } from '../support/line'
import { garageId } from '../support/requests'
import { compareWithLog, device, follower, openJobs, pause } from './devices'
import type { Tally } from './devices'

/** How the database goes away. */
export type Fault = 'crash' | 'stop' | 'silence' | 'cut'

export interface DatabaseDrill {
  fault: Fault
  /** Seconds that it was away. */
  awaySeconds: number
  acknowledged: number
  lost: number
  doubled: number
  /** Seconds from its return until requests were good again, and stayed so. */
  goodAfterSeconds: number
  /** Requests from five seconds after its return on, and how many of them were good, in hundredths. */
  requestsAfter: number
  goodPercent: number
  /** The longest that anybody waited for an answer, in seconds. */
  longestSeconds: number
  /** Streams that had not heard of every event half a minute after all was over. */
  stale: number
}

export interface DrillOptions {
  fault: Fault
  awayMs: number
  /** Takes the database away and brings it back; by the line where it is left out. */
  away?: (isAway: boolean) => Promise<void>
  devices?: number
  streams?: number
  /** How long is looked on after five seconds from its return. */
  afterMs?: number
}

const GOOD_WITHIN_MS = 5_000

/** Takes the database away under devices that post and browsers that follow, brings it back, and counts. */
export async function databaseDrill(
  database: TestDatabase,
  { fault, awayMs, away, devices = 6, streams = 8, afterMs = 10_000 }: DrillOptions,
): Promise<DatabaseDrill> {
  const line = await lineTo(database.url)
  const app = await startApp(line.url, undefined, asShipped)
  const tally: Tally = { acknowledged: new Map(), asked: [] }
  const stop = new AbortController()
  const hangUp = new AbortController()
  setMaxListeners(0, hangUp.signal)
  try {
    const jobs = await openJobs(app.base, 3)
    const heard = Array.from({ length: streams }, () => new Set<string>())
    const following = heard.map((set, index) =>
      follower(() => app.base, jobs[index % jobs.length]!, set, hangUp.signal),
    )
    const posting = Array.from({ length: devices }, (_, index) =>
      device(() => app.base, jobs[index % jobs.length]!, tally, stop.signal, 40),
    )
    await pause(1_500)
    await (away ?? byLine(line, fault))(true)
    await pause(awayMs)
    await (away ?? byLine(line, fault))(false)
    const back = performance.now()
    await pause(GOOD_WITHIN_MS + afterMs)
    stop.abort()
    await Promise.all(posting)
    const events = (jobId: string) => forGarage(database.db, garageId).jobs.events(jobId)
    const { lost, doubled } = await compareWithLog(tally, events)
    const logs = await Promise.all(jobs.map(events))
    const isBehind = (set: Set<string>, index: number) => logs[index % jobs.length]!.some(event => !set.has(event.id))
    for (let waited = 0; waited < 32_000 && heard.some(isBehind); waited += 500) await pause(500)
    const stale = heard.filter(isBehind).length
    hangUp.abort()
    await Promise.all(following)
    const after = tally.asked.filter(request => request.at >= back + GOOD_WITHIN_MS)
    const lastBad = tally.asked
      .filter(request => request.at >= back && !request.good)
      .map(request => request.at + request.tookMs)
      .reduce((last, at) => Math.max(last, at), back)
    return {
      fault,
      awaySeconds: awayMs / 1000,
      acknowledged: tally.acknowledged.size,
      lost,
      doubled,
      goodAfterSeconds: (lastBad - back) / 1000,
      requestsAfter: after.length,
      goodPercent: after.length === 0 ? 0 : (after.filter(request => request.good).length / after.length) * 100,
      longestSeconds: Math.max(...tally.asked.map(request => request.tookMs)) / 1000,
      stale,
    }
  } finally {
    stop.abort()
    hangUp.abort()
    await app.kill()
    await line.close()
  }
}

function byLine(line: Line, fault: Fault) {
  return async (isAway: boolean) => {
    if (fault === 'silence') line.silence(isAway)
    else if (fault === 'cut') line.cut()
    else line.refuse(isAway)
  }
}
