import { mkdirSync, rmSync } from 'node:fs'
import { openDatabase } from '../../server/db/client'
import { forGarage } from '../../server/db/for-garage'
import { startApp } from '../support/app'
import { freshDatabase } from '../support/database'
import { ownPostgres, quoted, runningAt, shell } from '../support/postgres'
import type { OwnPostgres } from '../support/postgres'
import { garageId } from '../support/requests'
import { compareWithLog, device, openJobs, pause } from './devices'
import type { Tally } from './devices'

export interface RestoreDrill {
  acknowledged: number
  /** Of them, what is not in the records restored to their end. */
  lost: number
  doubled: number
  /** Of what was acknowledged before a moment, what is not in the records restored to it; and what is there from later. */
  lostAtMoment: number
  laterAtMoment: number
  /** Whether every log, replayed, says what stood beside it. */
  replayed: boolean
  /** Seconds from a machine without records to one with them. */
  restoredInSeconds: number
}

/** Destroys the records under their backups, restores them to their end and to a moment before, and compares. */
export async function restoreDrill({
  devices = 3,
  runMs = 6_000,
}: { devices?: number; runMs?: number } = {}): Promise<RestoreDrill> {
  const home = shell(`pg_home "drill-backups-${process.pid}"`)
  mkdirSync(home, { recursive: true })
  shell(`chmod a+x "${home}"`)
  const backups = `${home}/backups`
  // A piece of the log of changes goes every two seconds here, every minute at a garage.
  const settings = shell(`ELDRIN_ARCHIVE_SECONDS=2 bin/backup settings "${backups}"`)
  const first = ownPostgres('drill-records', settings)
  const restored: OwnPostgres[] = []
  const before = process.env.TEST_PG_URL
  process.env.TEST_PG_URL = first.url('postgres')
  const database = await freshDatabase(true).finally(() => {
    process.env.TEST_PG_URL = before
  })
  const app = await startApp(database.url)
  try {
    shell(`bin/backup base "${backups}" ${first.port}`)
    const tally: Tally = { acknowledged: new Map(), asked: [] }
    const jobs = await openJobs(app.base, devices)
    const run = async () => {
      const stop = new AbortController()
      const posting = jobs.map(id => device(() => app.base, id, tally, stop.signal, 60))
      await pause(runMs)
      stop.abort()
      await Promise.all(posting)
    }
    await run()
    const early = new Set(tally.acknowledged.keys())
    const [moment] = await first.sql<{ now: string }>('select now()::text as now')
    await pause(1_100)
    await run()
    await allKept(first)
    await app.kill()
    await database.close()
    first.crash()
    shell(`rm -rf "${first.home}/data"`)

    const restore = (name: string, until = '') => {
      const to = `${home}/${name}`
      const begun = performance.now()
      shell(`bin/restore --from "${backups}" --to "${to}" ${until ? `--until ${quoted(until)}` : ''}`)
      const tookSeconds = (performance.now() - begun) / 1000
      shell(`pg_start "${to}"`)
      restored.push(runningAt(to))
      return { server: restored.at(-1)!, tookSeconds }
    }
    const logsOf = async <T>(
      server: OwnPostgres,
      look: (events: (jobId: string) => Promise<{ id: string }[]>) => Promise<T>,
    ) => {
      const { db, close } = openDatabase(server.url(database.name), 2)
      return look(jobId => forGarage(db, garageId).jobs.events(jobId)).finally(close)
    }
    const end = restore('end')
    const compared = await logsOf(end.server, events => compareWithLog(tally, events))
    const replayed = replays(end.server.url(database.name))
    const then = restore('moment', moment!.now)
    const there = await logsOf(
      then.server,
      async events => new Set((await Promise.all(jobs.map(events))).flat().map(({ id }) => id)),
    )
    return {
      acknowledged: tally.acknowledged.size,
      ...compared,
      lostAtMoment: [...early].filter(id => !there.has(id)).length,
      laterAtMoment: [...tally.acknowledged.keys()].filter(id => !early.has(id) && there.has(id)).length,
      replayed,
      restoredInSeconds: end.tookSeconds,
    }
  } finally {
    await app.kill()
    for (const server of restored) server.remove()
    first.remove()
    rmSync(home, { recursive: true, force: true })
  }
}

/** Waits until every change so far lies with the backups. */
async function allKept(server: OwnPostgres): Promise<void> {
  const [last] = await server.sql<{ name: string }>('select pg_walfile_name(pg_switch_wal()) as name')
  for (let waited = 0; waited < 300; waited++) {
    const [kept] = await server.sql<{ name: string | null }>('select last_archived_wal as name from pg_stat_archiver')
    if (kept?.name && kept.name >= last!.name) return
    await pause(100)
  }
  throw new Error('the log of changes is not kept')
}

/** Whether every log of a database says what stands beside it. */
function replays(url: string): boolean {
  try {
    shell('npx --no-install tsx server/db/rebuild-cli.ts --strict', { DATABASE_OWNER_URL: url })
    return true
  } catch {
    return false
  }
}
