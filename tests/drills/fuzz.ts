import { readFileSync, readdirSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { Worker } from 'node:worker_threads'
import { payloads } from '../../contracts/events'
import { writePack } from '../../contracts/write-pack'
import { reduceJob } from '../../core/job'
import { seededRandom } from '../../core/base/random'
import { forGarage } from '../../server/db/for-garage'
import type { RunningApp } from '../support/app'
import type { TestDatabase } from '../support/database'
import { garageId, incoming, newJobRequest, personId } from '../support/requests'
import { sampleOf, withText } from '../support/sample'
import { coverAndPart } from '../support/small-pack'
import { openJobs } from './devices'
import { everyRole } from './roles'

export interface FuzzReport {
  requests: number
  byStatus: Record<string, number>
  /** Answers of 5xx, and the first few requests that had one. */
  broken: number
  examples: string[]
  /** Jobs whose log has a gap, whose line is not what the log says, or which cannot be reduced. */
  halfWritten: number
  /** Memory of the server in MB: after a warm-up, and at the end. */
  memoryMb: [start: number, end: number]
  /** Somebody else, who asks for something small all the while: how long at most, and for 99 in 100, in ms. */
  othersMostMs: number
  others99Ms: number
  /** How long of such a wait the server ran at most: what it did for others first. The rest is the machine's. */
  heldUpMostMs: number
  /** How long such a server waited at most: what the machine itself holds up. */
  idleMostMs: number
}

interface Route {
  method: string
  path: string
}

const apiFolder = fileURLToPath(new URL('../../server/api', import.meta.url))
/** Every route there is, from the files that make them, so that none is forgotten. */
export function allRoutes(): Route[] {
  return readdirSync(apiFolder, { recursive: true, encoding: 'utf8' })
    .filter(file => file.endsWith('.ts') && !file.startsWith('[...]'))
    .map(file => {
      const [, path, method] = /^(.*?)(?:\.(get|post|put|patch|delete))?\.ts$/.exec(file)!
      return {
        method: (method ?? 'get').toUpperCase(),
        path: `/api/${path!.replace(/\/?index$/, '')}`.replace(/\/$/, ''),
      }
    })
}

/** Text that no good client sends: what objects have of themselves, what records cannot hold, what formats trip over. */
const POISONS = [
  '__proto__',
  'constructor',
  'toString',
  'hasOwnProperty',
  'prototype',
  '\0',
  'a\0b',
  '\ud800',
  '\udfff',
  '',
  ' ',
  'null',
  'NaN',
  '-1',
  '1e999',
  '0000-01-01T00:00:00.000Z',
  '9999-12-31T23:59:59.999Z',
  '=1+1',
  '<script>',
  '"\'`;--',
  '../../etc',
  '%00',
  '\u202e',
  '𝕏'.repeat(500),
  'x'.repeat(3000),
]
const QUERIES = [
  '',
  '?after=1e300',
  '?after=-1',
  '?after=9007199254740993',
  '?before=2147483648',
  '?before=0',
  '?vehicle=x',
  '?q=%00',
  '?q=',
  '?q=a%27%20%26%20%7C%20!',
  '?q=constructor',
  '?as=pdf',
  '?as=pdf&paper=napkin',
  '?group=__proto__',
  '?after[]=1',
  '?after=1&after=2',
  '?%E0%A4%A',
  '?q=%ff%fe',
]
/** Layouts that are short to write and long to read. */
const BOMBS = [
  '? '.repeat(28),
  '['.repeat(5000),
  Array.from(
    { length: 9 },
    (_, level) =>
      `a${level}: &a${level} [${Array(9)
        .fill(level === 0 ? 'x' : `*a${level - 1}`)
        .join(', ')}]`,
  ).join('\n'),
  `${'k: v\n'.repeat(400)}`,
]

/** Sends requests to every route, as every role and as nobody, most of them wrong, and looks at what they leave behind. */
export async function fuzz(
  app: RunningApp,
  database: TestDatabase,
  {
    requests,
    seed,
    atOnce = 6,
    bombEvery = 900,
  }: { requests: number; seed: number; atOnce?: number; bombEvery?: number },
): Promise<FuzzReport> {
  // Each request draws for itself: which of those at once is answered first changes nothing.
  let random = seededRandom(seed)
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!
  const people = await everyRole(database)
  const own = people.owner()
  const jobs = await openJobs(app.base, 3, own)
  const get = async (path: string) => (await fetch(app.base + path, { headers: own.headers })).json()
  const vehicles = ((await get('/api/vehicles')) as { id: string }[]).map(vehicle => vehicle.id)
  const file = (await get(`/api/jobs/${jobs[0]}/file`)) as object
  const routes = allRoutes()
  const yaml = writePack(coverAndPart())
  const types = Object.keys(payloads) as (keyof typeof payloads)[]
  const report: FuzzReport = {
    requests: 0,
    byStatus: {},
    broken: 0,
    examples: [],
    halfWritten: 0,
    memoryMb: [0, 0],
    othersMostMs: 0,
    others99Ms: 0,
    heldUpMostMs: 0,
    idleMostMs: 0,
  }
  let sent = 0

  const oneChanged = (value: unknown): unknown => {
    const roll = random()
    if (roll < 0.3) return value
    const changes = [...withText(value, pick(POISONS))]
    return changes.length === 0 || roll > 0.95
      ? pick<unknown>([null, [], 5, 'x', { [pick(POISONS)]: 1 }, Array(50).fill(value)])
      : pick(changes)
  }
  const fileText = JSON.stringify(file)
  const fileTexts = [...fileText.matchAll(/"(?:[^"\\]|\\.)*"/g)]
  /** A whole job with one of its texts changed, wherever that stands. */
  const fileChanged = (): unknown => {
    const {
      index,
      0: { length },
    } = pick(fileTexts)
    return JSON.parse(`${fileText.slice(0, index)}${JSON.stringify(pick(POISONS))}${fileText.slice(index + length)}`)
  }
  const anEvent = () => {
    const type = pick(types)
    return random() < 0.2
      ? incoming('note-added', { stepId: null, text: `fuzz ${sent}` })
      : incoming(type, oneChanged(sampleOf(payloads[type])))
  }
  const bodyOf = ({ method, path }: Route): unknown => {
    if (method === 'GET' || (method === 'DELETE' && random() < 0.9)) return undefined
    if (/events$/.test(path))
      return {
        events: Array.from({ length: 1 + Math.floor(random() * 3) }, anEvent),
        ...(random() < 0.3 ? { sentAt: pick(['2026-03-02T08:00:00.000Z', ...POISONS]) } : {}),
      }
    if (/^\/api\/packs/.test(path))
      return sent % bombEvery === 0
        ? { yaml: pick(BOMBS), personId }
        : oneChanged({
            yaml: random() < 0.2 ? pick(POISONS) : yaml.slice(0, Math.floor(random() * yaml.length)),
            personId,
            ...(method === 'PUT' ? { revision: 1 } : {}),
          })
    if (/imports$/.test(path))
      return random() < 0.03
        ? fileChanged()
        : oneChanged({
            format: 'eldrin-job',
            version: 1,
            exportedAt: '2026-03-02T08:00:00.000Z',
            people: [{ id: personId, name: 'x' }],
            events: [],
          })
    if (/^\/api\/jobs$/.test(path))
      return oneChanged(newJobRequest({ odometerKm: null, ...(random() < 0.97 ? { packId: pick(POISONS) } : {}) }))
    if (/options$/.test(path))
      return oneChanged({
        id: crypto.randomUUID(),
        options: { slave: pick(['welded', ...POISONS]) },
        circumstances: { helper: null, hours: null, arrivals: [], pins: [] },
        personId,
        deviceId: 'fuzz',
        at: '2026-03-02T08:05:00.000Z',
        utcOffsetMinutes: 0,
      })
    if (/orders$/.test(path))
      return oneChanged({
        id: crypto.randomUUID(),
        partId: pick(['flywheel', 'moon-dust', ...POISONS]),
        count: 1,
        personId,
        deviceId: 'fuzz',
        at: '2026-03-02T08:05:00.000Z',
      })
    return oneChanged({
      id: crypto.randomUUID(),
      name: 'A name',
      make: 'Make',
      model: 'Model',
      year: 2015,
      customer: 'Somebody',
      gears: ['1', 'R'],
      personId,
      title: 'x',
      from: pick(vehicles),
      group: 'bell-bolts',
    })
  }
  const addressOf = ({ path }: Route) =>
    path.replaceAll(/\[(\w+)\]/g, (_whole, name: string) => {
      if (random() < 0.25) return encodeURIComponent(pick(POISONS).replaceAll(/\p{Surrogate}/gu, '?')) || 'x'
      if (path.startsWith('/api/jobs'))
        return name === 'id' ? pick(jobs) : pick(['invoice', 'estimate', 'hand-over', 'bolts', 'times', 'poem'])
      if (path.startsWith('/api/vehicles')) return pick(vehicles)
      if (path.startsWith('/api/packs')) return pick(['fwd-transverse', 'none', 'own'])
      return crypto.randomUUID()
    }) + (random() < 0.25 ? pick(QUERIES) : '')

  /** What is asked, drawn whole before anything is waited for. */
  function drawn(index: number) {
    random = seededRandom(seed + index)
    let route = pick(routes)
    while (route.path === '/api/jobs/[id]/papers/[kind]' && random() < 0.7) route = pick(routes)
    const who = people.drawn(pick)
    const address = addressOf(route)
    const body = bodyOf(route)
    const written =
      body === undefined
        ? undefined
        : random() < 0.03
          ? pick(['', '{', 'null', '[[[[', '"\\ud800"', 'x'.repeat(400_000)])
          : JSON.stringify(body)
    return { route, who, address, written, isPlain: random() < 0.02 }
  }

  async function one(index: number): Promise<void> {
    const { route, who, address, written, isPlain } = drawn(index)
    const as = await people.asked(who)
    // What is signed is signed by who asks.
    const text = as ? written?.replaceAll(`"${personId}"`, `"${as.personId}"`) : written
    const abort = new AbortController()
    const timer = setTimeout(() => abort.abort(), route.path.endsWith('stream') ? 60 : 30_000)
    try {
      const headers: Record<string, string> =
        text === undefined || isPlain ? {} : { 'content-type': 'application/json' }
      const response = await fetch(app.base + address, {
        method: route.method,
        ...(text === undefined ? {} : { body: text }),
        headers: { ...headers, ...as?.headers },
        signal: abort.signal,
      })
      if (response.status === 401 && as) await people.gone(as)
      report.byStatus[response.status] = (report.byStatus[response.status] ?? 0) + 1
      // Records that are too busy to answer in time say so, and when to ask again.
      const isBusy = response.status === 503 && response.headers.has('retry-after')
      if (response.status >= 500 && !isBusy) {
        report.broken++
        if (report.examples.length < 12)
          report.examples.push(
            `${response.status} ${route.method} ${address.slice(0, 120)} ${text?.slice(0, 300) ?? ''} → ${(await response.text()).slice(0, 200)}`,
          )
      } else if (!route.path.endsWith('stream')) await response.arrayBuffer()
    } catch {
      report.byStatus.ended = (report.byStatus.ended ?? 0) + 1
    } finally {
      clearTimeout(timer)
      abort.abort()
    }
  }

  const watcher = watch(app)
  const memory: number[] = []
  await Promise.all(
    Array.from({ length: atOnce }, async () => {
      while (sent < requests) {
        if (++sent % Math.max(1, Math.floor(requests / 20)) === 0) memory.push(residentMb(app.process.pid!))
        await one(sent)
        report.requests++
      }
    }),
  )
  const watched = await watcher()
  const waits = watched.waits.map(({ tookMs }) => tookMs).sort((a, b) => a - b)
  report.idleMostMs = Math.round(most(watched.beside.map(({ tookMs }) => tookMs)))
  report.othersMostMs = Math.round(waits.at(-1) ?? 0)
  report.heldUpMostMs = Math.round(most(watched.waits.map(({ ranMs }) => ranMs)))
  report.others99Ms = Math.round(waits[Math.floor(waits.length * 0.99)] ?? 0)
  report.memoryMb = [Math.round(memory[Math.floor(memory.length / 4)] ?? 0), Math.round(memory.at(-1) ?? 0)]
  report.halfWritten = await halfWritten(database)
  return report
}

/** How long an answer took, and how long of that the server's thread ran, in ms. */
interface Wait {
  tookMs: number
  ranMs: number
}

/** Asks for something small from a thread of its own, which what is done here does not hold up. @returns ends it and gives every wait */
function watch(app: RunningApp): () => Promise<{ waits: Wait[]; beside: Wait[] }> {
  const worker = new Worker(new URL('./watcher.mjs', import.meta.url), {
    workerData: { base: app.base, pid: app.process.pid },
  })
  return () =>
    new Promise(resolve => {
      worker.once('message', resolve)
      worker.postMessage('enough')
    })
}

const most = (values: number[]) => values.reduce((a, b) => Math.max(a, b), 0)

const residentMb = (pid: number) =>
  Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1] ?? 0) / 1024

/** Jobs that do not hang together: a log with a gap, or a line on the Yard that is not of its last event. */
async function halfWritten(database: TestDatabase): Promise<number> {
  const rows = await database.sql<{ id: string; last: string; count: string; line: string | null }>`
    select job.id, max(seq) as last, count(*) as count, (select last_seq from job_summary where job_id = job.id) as line from job left join job_event on job_event.job_id = job.id group by job.id`
  let bad = 0
  for (const { id, last, count, line } of rows) {
    const state = reduceJob(await forGarage(database.db, garageId).jobs.events(id))
    if (last !== count || line !== last || state.lastSeq !== Number(last)) bad++
  }
  return bad
}
