import { setMaxListeners } from 'node:events'
import { openDatabase } from '../../server/db/client'
import { forGarage } from '../../server/db/for-garage'
import { asShipped, startApp } from '../support/app'
import { freshDatabase } from '../support/database'
import { ownPostgres, runningAt, shell } from '../support/postgres'
import type { OwnPostgres } from '../support/postgres'
import { garageId } from '../support/requests'
import { compareWithLog, device, follower, openJobs, pause } from './devices'
import type { Tally } from './devices'

export interface StandbyDrill {
  acknowledged: number
  /** Of them, after the primary was gone. */
  afterwards: number
  lost: number
  doubled: number
  /** Seconds from the loss of the primary until something was written again. */
  writingAfterSeconds: number
  stale: number
}

/** A second server that follows the first, event by event: nothing is said yes to that it does not have. */
async function standbyOf(primary: OwnPostgres): Promise<OwnPostgres> {
  const home = `${primary.home}-standby`
  shell(`mkdir -p "${home}"; [ "$(id -u)" != 0 ] || chown postgres: "${home}"; chmod 700 "${home}"
    cd /; as_postgres "$PG_BIN/pg_basebackup" -h 127.0.0.1 -p ${primary.port} -U eldrin -D "${home}/data" -R -X stream -c fast
    cd "$ROOT"; pg_start "${home}"`)
  await primary.sql("alter system set synchronous_standby_names = '*'")
  await primary.sql('select pg_reload_conf()')
  const inStep = async () =>
    (await primary.sql<object>("select 1 from pg_stat_replication where sync_state = 'sync'")).length > 0
  for (let waited = 0; !(await inStep()); waited++) {
    if (waited > 100) throw new Error('the standby does not follow')
    await pause(100)
  }
  return runningAt(home)
}

/** Loses the primary under two servers with devices that post, and lets the standby take its place. */
export async function standbyDrill({
  devices = 4,
  upMs = 4_000,
  noticedMs = 500,
  afterMs = 12_000,
}: { devices?: number; upMs?: number; noticedMs?: number; afterMs?: number } = {}): Promise<StandbyDrill> {
  const primary = ownPostgres('drill-primary')
  const before = process.env.TEST_PG_URL
  process.env.TEST_PG_URL = primary.url('postgres')
  const database = await freshDatabase().finally(() => {
    process.env.TEST_PG_URL = before
  })
  const standby = await standbyOf(primary)
  const at = (server: OwnPostgres, user: string) => server.url(database.name, user)
  const addresses = `${at(primary, 'eldrin_app')},${at(standby, 'eldrin_app')}`
  const apps = await Promise.all([startApp(addresses, undefined, asShipped), startApp(addresses, undefined, asShipped)])
  const tally: Tally = { acknowledged: new Map(), asked: [] }
  const stop = new AbortController()
  const hangUp = new AbortController()
  setMaxListeners(0, hangUp.signal)
  const opened = openDatabase(at(standby, 'eldrin'), 2)
  try {
    const jobs = await openJobs(apps[0]!.base, devices)
    const heard = jobs.map(() => new Set<string>())
    const following = jobs.map((id, index) =>
      follower(() => apps[(index + 1) % 2]!.base, id, heard[index]!, hangUp.signal),
    )
    const posting = jobs.map((id, index) => device(() => apps[index % 2]!.base, id, tally, stop.signal, 40))
    await pause(upMs)
    const known = tally.acknowledged.size
    primary.crash()
    const lostAt = performance.now()
    await pause(noticedMs)
    shell(`cd /; as_postgres "$PG_BIN/pg_ctl" -D "${standby.home}/data" -w promote`)
    while (tally.acknowledged.size === known && performance.now() - lostAt < 60_000) await pause(20)
    const writingAfterSeconds = (performance.now() - lostAt) / 1000
    await pause(afterMs)
    stop.abort()
    await Promise.all(posting)
    const events = (jobId: string) => forGarage(opened.db, garageId).jobs.events(jobId)
    const compared = await compareWithLog(tally, events)
    const logs = await Promise.all(jobs.map(events))
    const isBehind = (set: Set<string>, index: number) => logs[index]!.some(event => !set.has(event.id))
    for (let waited = 0; waited < 32_000 && heard.some(isBehind); waited += 500) await pause(500)
    const stale = heard.filter(isBehind).length
    hangUp.abort()
    await Promise.all(following)
    const acknowledged = tally.acknowledged.size
    return { acknowledged, afterwards: acknowledged - known, ...compared, writingAfterSeconds, stale }
  } finally {
    stop.abort()
    hangUp.abort()
    await Promise.all(apps.map(app => app.kill()))
    await opened.close()
    await database.close().catch(() => {})
    primary.remove()
    standby.remove()
  }
}
