/**
 * Lists at the size of years: 5 000 jobs, 2 million events, generated. Prints the middle and the slowest of the answers, in ms.
 * Wants TEST_PG_URL, and the built application. ELDRIN_BENCH_JOBS and ELDRIN_BENCH_EVENTS change the size. With ELDRIN_BENCH_AGAINST=1.5
 * a hundredth of both is measured before it, in the same run, and no answer may be slower by more than that factor.
 */
import { Client } from 'pg'
import { startApp } from '../support/app'
import type { RunningApp } from '../support/app'
import { freshDatabase } from '../support/database'
import { incoming, newJobRequest } from '../support/requests'

const JOBS = Number(process.env.ELDRIN_BENCH_JOBS ?? 5000)
const EVENTS = Number(process.env.ELDRIN_BENCH_EVENTS ?? 2_000_000)
const AGAINST = Number(process.env.ELDRIN_BENCH_AGAINST ?? 0)
const ROUNDS = 41
/** A list answers within this. */
const FLOOR_MS = 100
/** A garage works on so many cars at once, however many it has had. */
const OPEN = 40
/** Below this, a factor says more of the machine than of the lists. */
const NOISE_MS = 3

type Times = Map<string, { middle: number; slowest: number }>

/** Fills records with copies of one real job, and measures. */
async function measure(jobs: number, events: number): Promise<Times> {
  const database = await freshDatabase()
  const app = await startApp(database.url)
  try {
    const request = newJobRequest()
    const opened = await fetch(`${app.base}/api/jobs`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(request),
    })
    if (!opened.ok) throw new Error(await opened.text())
    // A connection without the application's patience: what is made here takes minutes.
    const owner = new Client({ connectionString: database.ownerUrl })
    owner.on('error', () => {})
    await owner.connect()
    const started = Date.now()
    // All but a few closed, their words drawn from a list; cars come back every few years.
    await owner.query(`
      insert into vehicle (id, garage_id, name, make, model, year, customer, gears)
        select gen_random_uuid(), garage_id, 'Car ' || n, make, model, 2000 + n % 25, 'Customer ' || n, gears from vehicle cross join generate_series(1, 1500) n where id = '${request.vehicleId}';
      create temp table cars as select id, row_number() over () as n from vehicle;
      create temp table many as select gen_random_uuid() as id, n from generate_series(1, ${jobs}) n;
      create unique index on many (n);
      insert into job (id, garage_id, vehicle_id, number) select many.id, job.garage_id, cars.id, 1000 + many.n from many join cars on cars.n = 1 + many.n % 1500 cross join job where job.id = '${request.id}';
      insert into job_summary (job_id, garage_id, last_seq, status, summary, changed_at)
        select many.id, garage_id, 400, case when n > ${jobs - OPEN} then 'in-work' else 'closed' end,
          summary || jsonb_build_object('jobId', many.id, 'number', 1000 + n, 'vehicleName', 'Car ' || n % 1500, 'status', case when n > ${jobs - OPEN} then 'in-work' else 'closed' end),
          now() - interval '1 day'
        from many cross join job_summary where job_id = '${request.id}';
      insert into job_words (job_id, garage_id, number, words)
        select many.id, garage_id, 1000 + n, words || ' ' || (array['rodent nest', 'crank seal', 'sheared stud', 'warped flywheel', 'oil on the disc'])[1 + n % 5] || ' note ' || n from many cross join job_words where job_id = '${request.id}';`)
    // What is copied refers to what is there; looking that up anew twenty million times would take an hour.
    await owner.query('set session_replication_role = replica')
    // Piece by piece, as logs grow: all at once would want room for all of it twice.
    const each = Math.ceil(events / jobs)
    const piece = Math.max(1, Math.floor(1_000_000 / each))
    for (let from = 1; from <= jobs; from += piece)
      await owner.query(`
        insert into job_event (id, garage_id, job_id, seq, device_id, device_time, person_id, type, payload)
        select gen_random_uuid(), event.garage_id, many.id, seq, 'bench', now(), event.person_id, 'note-added', jsonb_build_object('stepId', null, 'text', 'note ' || seq)
        from many cross join generate_series(1, ${each}) seq cross join (select garage_id, person_id from job_event where job_id = '${request.id}' limit 1) event
        where many.n between ${from} and ${from + piece - 1}`)
    await owner.query('analyze')
    const {
      rows: [count],
    } = await owner.query<{ jobs: number; events: number }>(
      'select (select count(*)::int from job) jobs, (select count(*)::int from job_event) events',
    )
    await owner.end()
    console.log(`${count!.jobs} jobs, ${count!.events} events, made in ${Math.round((Date.now() - started) / 1000)} s`)
    return await asked(app, request)
  } finally {
    await app.kill()
    await database.drop()
  }
}

async function asked(app: RunningApp, request: { id: string; vehicleId: string }): Promise<Times> {
  const get = (path: string) => async () => {
    const response = await fetch(app.base + path)
    await response.arrayBuffer()
    if (!response.ok) throw new Error(`${path}: ${response.status}`)
  }
  const post = async () => {
    const response = await fetch(`${app.base}/api/jobs/${request.id}/events`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ events: [incoming('note-added', { stepId: null, text: 'a note' })] }),
    })
    if (!response.ok) throw new Error(await response.text())
    await response.arrayBuffer()
  }
  /** Opens the Yard's stream until it says its first word. */
  const listen = async () => {
    const line = new AbortController()
    const response = await fetch(`${app.base}/api/stream`, { signal: line.signal })
    await response.body!.getReader().read()
    line.abort()
  }
  const times: Times = new Map()
  for (const [name, ask] of [
    ['Yard', get('/api/jobs')],
    ['Search, a word', get('/api/search?q=rodent')],
    ['Search, half a word and a number', get('/api/search?q=flywheel%20441')],
    ['Closed jobs', get('/api/history')],
    ['Closed jobs, far back', get('/api/history?before=1200')],
    ['A car', get(`/api/vehicles/${request.vehicleId}`)],
    ['Cars', get('/api/vehicles')],
    ['A job’s log', get(`/api/jobs/${request.id}/events`)],
    ['Posting', post],
    ['The Yard’s feed', listen],
  ] as const) {
    const took: number[] = []
    // A word that is asked for a hundred times a minute is not what this measures.
    for (let round = 0; round < ROUNDS; round++) {
      const at = performance.now()
      await ask()
      took.push(performance.now() - at)
    }
    took.sort((a, b) => a - b)
    times.set(name, { middle: took[Math.floor(ROUNDS / 2)]!, slowest: took.at(-1)! })
  }
  return times
}

const before = AGAINST > 0 ? await measure(Math.ceil(JOBS / 100), Math.ceil(EVENTS / 100)) : null
const now = await measure(JOBS, EVENTS)
let slow = false
for (const [name, { middle, slowest }] of now) {
  const was = before?.get(name)?.middle
  const factor = was === undefined ? null : Math.max(middle, NOISE_MS) / Math.max(was, NOISE_MS)
  slow ||= middle > FLOOR_MS || (factor ?? 0) > AGAINST
  console.log(
    `${name.padEnd(34)} ${middle.toFixed(1).padStart(7)} middle ${slowest.toFixed(1).padStart(7)} slowest` +
      (factor === null ? '' : ` ${was!.toFixed(1).padStart(9)} at a hundredth, ${factor.toFixed(2)} times`),
  )
}
console.log(
  slow
    ? `Some list takes longer than ${FLOOR_MS} ms${AGAINST > 0 ? `, or than ${AGAINST} times what it took` : ''}.`
    : `Every list answers within ${FLOOR_MS} ms${AGAINST > 0 ? ` and ${AGAINST} times what it took` : ''}.`,
)
process.exitCode = slow ? 1 : 0
