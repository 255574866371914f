import { setMaxListeners } from 'node:events'
import { forGarage } from '../../server/db/for-garage'
import { startApp } from '../support/app'
import { heldPort } from '../support/ports'
import type { TestDatabase } from '../support/database'
import { garageId } from '../support/requests'
import { compareWithLog, device, follower, openJobs, pause } from './devices'
import type { Tally } from './devices'

export interface KillDrill {
  kills: number
  acknowledged: number
  lost: number
  doubled: number
  /** Seconds from a kill until somebody was answered again, at most. */ goodAfterSeconds: number
  stale: number
}

/** Kills the server again and again under devices that post, starts it again, and counts. */
export async function killDrill(
  database: TestDatabase,
  {
    kills,
    devices = 4,
    streams = 4,
    upMs = 350,
    seeded = Math.random,
  }: { kills: number; devices?: number; streams?: number; upMs?: number; seeded?: () => number },
): Promise<KillDrill> {
  const port = await heldPort()
  let app = await startApp(database.url, port)
  const base = () => app.base
  const tally: Tally = { acknowledged: new Map(), asked: [] }
  const stop = new AbortController()
  const hangUp = new AbortController()
  setMaxListeners(0, hangUp.signal)
  let longestMs = 0
  try {
    // Logs grow long in a thousand kills; each device has a job of its own, and a new one from time to time.
    let jobs = await openJobs(app.base, devices)
    const allJobs = new Set(jobs)
    const heard = new Map<string, Set<string>>()
    const followers: Promise<void>[] = []
    const begin = (ids: string[], signal: AbortSignal) => {
      for (const id of ids.slice(0, streams)) {
        heard.set(id, new Set())
        followers.push(follower(base, id, heard.get(id)!, hangUp.signal))
      }
      return Promise.all(ids.map(id => device(base, id, tally, signal, 25)))
    }
    let round = new AbortController()
    let posting = begin(jobs, round.signal)
    for (let kill = 0; kill < kills; kill++) {
      await pause(upMs * (0.4 + seeded() * 1.2))
      const at = performance.now()
      await app.kill()
      app = await startApp(database.url, port)
      longestMs = Math.max(longestMs, performance.now() - at)
      if (kill % 50 === 49 && kill + 1 < kills) {
        round.abort()
        await posting
        jobs = await openJobs(app.base, devices)
        for (const id of jobs) allJobs.add(id)
        round = new AbortController()
        posting = begin(jobs, round.signal)
      }
    }
    round.abort()
    await posting
    const events = (jobId: string) => forGarage(database.db, garageId).jobs.events(jobId)
    const { lost, doubled } = await compareWithLog(tally, events)
    const isBehind = async ([id, set]: [string, Set<string>]) => (await events(id)).some(event => !set.has(event.id))
    let stale = [...heard]
    for (let waited = 0; waited < 32_000 && stale.length > 0; waited += 1000) {
      const behind = await Promise.all(stale.map(isBehind))
      stale = stale.filter((_entry, index) => behind[index])
      if (stale.length > 0) await pause(1000)
    }
    hangUp.abort()
    await Promise.all(followers)
    return {
      kills,
      acknowledged: tally.acknowledged.size,
      lost,
      doubled,
      goodAfterSeconds: longestMs / 1000,
      stale: stale.length,
    }
  } finally {
    stop.abort()
    hangUp.abort()
    await app.kill()
  }
}
