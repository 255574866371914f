import { spawn } from 'node:child_process'
import { existsSync, mkdirSync, rmSync, writeFileSync } from 'node:fs'
import { setMaxListeners } from 'node:events'
import { forGarage } from '../../server/db/for-garage'
import { DEMO_GARAGE_ID } from '../../server/demo/garage'
import { heldPort } from '../support/ports'
import type { TestDatabase } from '../support/database'
import { shell } from '../support/postgres'
import { deviceOf, somebody } from '../support/signed-in'
import { compareWithLog, device, openJobs, pause } from './devices'
import type { As, Tally } from './devices'

export interface RollingDrill {
  renewals: number
  requests: number
  /** Requests that nobody answered, or that were refused. */
  refused: number
  acknowledged: number
  lost: number
  doubled: number
  longestSeconds: number
}

/** Renews the processes of `bin/serve` one after the other, behind TLS and PgBouncer, while devices post. */
export async function rollingDrill(database: TestDatabase, { devices = 6, renewals = 3 } = {}): Promise<RollingDrill> {
  // The authority that signs is the drill's own.
  process.env.NODE_TLS_REJECT_UNAUTHORIZED = '0'
  const home = shell(`pg_home "drill-serve-${process.pid}"`)
  mkdirSync(home, { recursive: true })
  const [pool, door] = [await heldPort(), await heldPort()]
  const records = new URL(database.url)
  writeFileSync(
    `${home}/pgbouncer.ini`,
    [
      '[databases]',
      `* = host=127.0.0.1 port=${records.port} user=${records.username}`,
      '[pgbouncer]',
      'listen_addr = 127.0.0.1',
      `listen_port = ${pool}`,
      'auth_type = any',
      'pool_mode = transaction',
      'default_pool_size = 8',
      'ignore_startup_parameters = statement_timeout,idle_in_transaction_session_timeout,extra_float_digits',
      `unix_socket_dir =`,
    ].join('\n'),
  )
  shell(`chmod -R a+rX "${home}"`)
  const bouncer = spawn(
    'bash',
    [
      '-c',
      `. bin/lib.sh; cd /; if [ "$(id -u)" = 0 ]; then exec runuser -u postgres -- pgbouncer -q "${home}/pgbouncer.ini"; else exec pgbouncer -q "${home}/pgbouncer.ini"; fi`,
    ],
    { stdio: ['ignore', 'ignore', 'inherit'] },
  )
  const pooled = new URL(database.url)
  pooled.port = String(pool)
  const { ELDRIN_DEMO: _demo, ...env } = process.env
  const serve = spawn(
    'bin/serve',
    ['--address', 'localhost', '--home', home, '--port', String(door), '--processes', '2'],
    {
      stdio: ['ignore', 'pipe', 'inherit'],
      env: {
        ...env,
        PATH: `${process.env.PATH}:/usr/sbin`,
        DATABASE_URL: pooled.href,
        DATABASE_DIRECT_URL: database.url,
        DATABASE_OWNER_URL: database.ownerUrl,
      },
    },
  )
  let said = ''
  serve.stdout.on('data', (chunk: Buffer) => {
    said += chunk.toString()
  })
  const hears = async (word: string, times = 1) => {
    for (let waited = 0; said.split(word).length <= times; waited++) {
      if (serve.exitCode !== null || waited > 1200) throw new Error(`bin/serve: ${said}`)
      await pause(100)
    }
  }
  const tally: Tally = { acknowledged: new Map(), asked: [] }
  const stop = new AbortController()
  setMaxListeners(0, stop.signal)
  try {
    await hears('ready at')
    const base = `https://localhost:${door}`
    const who = await somebody(database, DEMO_GARAGE_ID, 'owner', 'drill-owner')
    const own = await deviceOf(database, who)
    const as: As = { personId: who.personId, deviceId: own.deviceId, headers: { cookie: own.headers.cookie } }
    const jobs = await openJobs(base, devices, as)
    const posting = jobs.map(id => device(() => base, id, tally, stop.signal, 40, as))
    for (let time = 1; time <= renewals; time++) {
      await pause(1_000)
      serve.kill('SIGHUP')
      await hears('renewed', time)
    }
    await pause(1_000)
    stop.abort()
    await Promise.all(posting)
    const compared = await compareWithLog(tally, jobId => forGarage(database.db, DEMO_GARAGE_ID).jobs.events(jobId))
    return {
      renewals,
      requests: tally.asked.length,
      refused: tally.asked.filter(({ good }) => !good).length,
      acknowledged: tally.acknowledged.size,
      ...compared,
      longestSeconds: Math.max(...tally.asked.map(({ tookMs }) => tookMs)) / 1000,
    }
  } finally {
    stop.abort()
    serve.kill('SIGTERM')
    await new Promise(resolve => (serve.exitCode === null ? serve.once('exit', resolve) : resolve(null)))
    bouncer.kill('SIGTERM')
    if (existsSync(home)) rmSync(home, { recursive: true, force: true })
  }
}
