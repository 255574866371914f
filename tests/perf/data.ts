/**
 * Lists at the size of years: 5 000 jobs, 2 million events, generated. Prints the middle and the slowest of the answers, in ms.
 * Wants TEST_PG_URL, and the built application. ELDRIN_BENCH_JOBS and ELDRIN_BENCH_EVENTS change the size.
 */
import { Client } from 'pg'
import { startApp } from '../support/app'
import { freshDatabase } from '../support/database'
import { newJobRequest } from '../support/requests'

const JOBS = Number(process.env.ELDRIN_BENCH_JOBS ?? 5000)
const EVENTS = Number(process.env.ELDRIN_BENCH_EVENTS ?? 2_000_000)
const ROUNDS = 25
/** A list answers within this. */
const FLOOR_MS = 100

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
  await owner.connect()
  const started = Date.now()
  // Copies of one real job: nineteen of twenty closed, their words drawn from a list.
  await owner.query(`
    insert into vehicle (id, garage_id, name, make, model, year, customer, gears)
      select gen_random_uuid(), garage_id, 'Car ' || n, make, model, 2000 + n % 25, 'Customer ' || n, gears from vehicle cross join generate_series(1, 1500) n where id = '${request.vehicleId}';
    create temp table cars as select id, row_number() over () as n from vehicle;
    create temp table many as select gen_random_uuid() as id, n from generate_series(1, ${JOBS}) n;
    insert into job (id, garage_id, vehicle_id, number) select many.id, job.garage_id, cars.id, 1000 + many.n from many join cars on cars.n = 1 + many.n % 1500 cross join job where job.id = '${request.id}';
    insert into job_summary (job_id, garage_id, last_seq, status, summary)
      select many.id, garage_id, 400, case when n % 20 = 0 then 'in-work' else 'closed' end,
        summary || jsonb_build_object('jobId', many.id, 'number', 1000 + n, 'vehicleName', 'Car ' || n % 1500, 'status', case when n % 20 = 0 then 'in-work' else 'closed' end)
      from many cross join job_summary where job_id = '${request.id}';
    insert into job_words (job_id, garage_id, words)
      select many.id, garage_id, words || ' ' || (array['rodent nest', 'crank seal', 'sheared stud', 'warped flywheel', 'oil on the disc'])[1 + n % 5] || ' note ' || n from many cross join job_words where job_id = '${request.id}';
    insert into job_event (id, garage_id, job_id, seq, device_id, device_time, person_id, type, payload)
      select gen_random_uuid(), event.garage_id, many.id, seq, 'bench', now(), event.person_id, 'note-added', jsonb_build_object('stepId', null, 'text', 'note ' || seq)
      from many cross join generate_series(1, ${Math.ceil(EVENTS / JOBS)}) seq cross join (select garage_id, person_id from job_event where job_id = '${request.id}' limit 1) event;
    analyze;`)
  const [count] = await database.sql<{
    jobs: number
    events: number
  }>`select (select count(*)::int from job) jobs, (select count(*)::int from job_event) events`
  await owner.end()
  console.log(`${count!.jobs} jobs, ${count!.events} events, made in ${Math.round((Date.now() - started) / 1000)} s`)
  let slow = false
  for (const [name, path] of [
    ['Yard', '/api/jobs'],
    ['Search, a word', '/api/search?q=rodent'],
    ['Search, half a word and a number', '/api/search?q=flywheel%20441'],
    ['Closed jobs', '/api/history'],
    ['Closed jobs, far back', '/api/history?before=1500'],
    ['A car', `/api/vehicles/${request.vehicleId}`],
    ['Cars', '/api/vehicles'],
    ['A job’s log', `/api/jobs/${request.id}/events`],
  ] as const) {
    const times: number[] = []
    for (let round = 0; round < ROUNDS; round++) {
      const at = performance.now()
      const response = await fetch(app.base + path)
      await response.arrayBuffer()
      if (!response.ok) throw new Error(`${path}: ${response.status}`)
      times.push(performance.now() - at)
    }
    times.sort((a, b) => a - b)
    const [middle, slowest] = [times[Math.floor(ROUNDS / 2)]!, times.at(-1)!]
    slow ||= middle > FLOOR_MS
    console.log(`${name.padEnd(34)} ${middle.toFixed(1).padStart(7)} middle ${slowest.toFixed(1).padStart(7)} slowest`)
  }
  console.log(slow ? `Some list takes longer than ${FLOOR_MS} ms.` : `Every list answers within ${FLOOR_MS} ms.`)
  process.exitCode = slow ? 1 : 0
} finally {
  await app.kill()
  await database.drop()
}
