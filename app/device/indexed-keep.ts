import { openDB, wrap } from 'idb'
import type { DBSchema, IDBPDatabase } from 'idb'
import type { JobEvent } from '../../core/job'
import type { Errand } from '../log/errand'
import type { WaitingAct } from '../log/waiting-act'
import type { Keep, KeptAnswer } from './keep'

interface Shape extends DBSchema {
  /** Recorded events by job and number. */
  events: { key: [string, number]; value: JobEvent }
  /** Acts that wait, by the order they were done in. */
  waiting: { key: number; value: WaitingAct & { order?: number }; indexes: { job: string; act: string } }
  answers: { key: string; value: KeptAnswer }
  /** Events that the server has no more, by job and id. */
  beyond: { key: [string, string]; value: JobEvent }
  errands: { key: string; value: Errand }
}

const NAME = 'eldrin'
const VERSION = 2
/** Acts count as kept when they are on the disk, not in a buffer on the way there. */
const onDisk = { durability: 'strict' } as const
const MOST_TRIES = 10
const AGAIN_MS = 200
/** After every number and every word, in the order of keys. */
const LAST: never[] = []

/**
 * Keeps in the browser's database.
 * @param taken called when the browser has taken the database away while it was in use; it is opened anew by the next call
 * @throws where the browser forbids it
 */
export async function indexedKeep(name = NAME, taken: () => void = () => {}): Promise<Keep & { close: () => void }> {
  let opened: Promise<IDBPDatabase<Shape>> | null = null
  const database = () =>
    (opened ??= openWhenItCan(name, () => {
      opened = null
      taken()
    }).catch((error: unknown) => {
      opened = null
      throw error
    }))
  await database()
  return { ...keepIn(database), close: () => void database().then(open => open.close()) }
}

/** While the browser clears it away, a database that is opened is closed at once. */
async function openWhenItCan(name: string, terminated: () => void): Promise<IDBPDatabase<Shape>> {
  for (let tries = 1; ; tries++)
    try {
      return await open(name, terminated)
    } catch (error) {
      if ((error as Error).name !== 'AbortError' || tries === MOST_TRIES) throw error
      await new Promise(resolve => setTimeout(resolve, AGAIN_MS))
    }
}

async function open(name: string, terminated: () => void): Promise<IDBPDatabase<Shape>> {
  const early = name === NAME ? await openedEarly() : null
  if (early) {
    early.onclose = terminated
    return wrap(early) as unknown as IDBPDatabase<Shape>
  }
  return openDB<Shape>(name, VERSION, {
    upgrade(database, from) {
      if (from < 1) {
        database.createObjectStore('events', { keyPath: ['jobId', 'seq'] })
        const waiting = database.createObjectStore('waiting', { keyPath: 'order', autoIncrement: true })
        waiting.createIndex('job', 'jobId')
        waiting.createIndex('act', 'id', { unique: true })
        database.createObjectStore('answers')
      }
      database.createObjectStore('beyond', { keyPath: ['jobId', 'id'] })
      database.createObjectStore('errands', { keyPath: 'id' })
    },
    // A newer page of another tab changes the shape: this one lets go.
    blocking: (_current, _blocked, event) => (event.target as IDBDatabase).close(),
    terminated,
  })
}

/** The database as the page's head has opened it, once, where it is there and of today. */
async function openedEarly(): Promise<IDBDatabase | null> {
  const page = globalThis as { eldrinStore?: IDBOpenDBRequest | undefined }
  const request = page.eldrinStore
  page.eldrinStore = undefined
  if (!request) return null
  const database = await new Promise<IDBDatabase | null>(resolve => {
    if (request.readyState === 'done') return resolve(request.error ? null : request.result)
    request.addEventListener('success', () => resolve(request.result))
    request.addEventListener('error', () => resolve(null))
  })
  if (database?.version === VERSION) return database
  database?.close()
  return null
}

function keepIn(database: () => Promise<IDBPDatabase<Shape>>): Keep {
  const ofJob = (jobId: string) => IDBKeyRange.bound([jobId, 0], [jobId, LAST])
  const apartOfJob = (jobId: string) => IDBKeyRange.bound([jobId, ''], [jobId, LAST])
  return {
    isLasting: true,
    events: async jobId => (await database()).getAll('events', ofJob(jobId)),
    async waiting(jobId) {
      const acts = await (await database()).getAllFromIndex('waiting', 'job', jobId)
      return acts.sort((a, b) => a.order! - b.order!).map(({ order: _order, ...act }) => act as WaitingAct)
    },
    async jobsWaiting() {
      const jobs: string[] = []
      const { store } = (await database()).transaction('waiting')
      let cursor = await store.index('job').openKeyCursor(null, 'nextunique')
      for (; cursor; cursor = await cursor.continue()) jobs.push(cursor.key)
      return jobs
    },
    async add(acts) {
      const change = (await database()).transaction('waiting', 'readwrite', onDisk)
      await Promise.all([...acts.map(act => change.store.add({ ...act })), change.done])
    },
    async record(jobId, events) {
      if (events.length === 0) return
      const change = (await database()).transaction(['events', 'waiting'], 'readwrite', onDisk)
      const [recorded, waiting] = [change.objectStore('events'), change.objectStore('waiting')]
      for (const event of events) {
        void recorded.put({ ...event, jobId })
        const order = await waiting.index('act').getKey(event.id)
        if (order !== undefined) void waiting.delete(order)
      }
      await change.done
    },
    async replace(actId, act) {
      const change = (await database()).transaction('waiting', 'readwrite', onDisk)
      const order = await change.store.index('act').getKey(actId)
      if (order !== undefined) void change.store.put({ ...act, order })
      await change.done
    },
    async drop(actIds) {
      const change = (await database()).transaction('waiting', 'readwrite', onDisk)
      for (const id of actIds) {
        const order = await change.store.index('act').getKey(id)
        if (order !== undefined) void change.store.delete(order)
      }
      await change.done
    },
    async forget(jobId) {
      await (await database()).delete('events', ofJob(jobId))
    },
    async jobsRecorded() {
      const jobs: string[] = []
      let cursor = await (await database()).transaction('events').store.openKeyCursor()
      while (cursor) {
        const [jobId] = cursor.key
        jobs.push(jobId)
        cursor = await cursor.continue([jobId, LAST] as never)
      }
      return jobs
    },
    async beyond(jobId) {
      const events = await (await database()).getAll('beyond', apartOfJob(jobId))
      return events.sort((a, b) => a.seq! - b.seq!)
    },
    async part(jobId, log, more) {
      const change = (await database()).transaction(['events', 'waiting', 'beyond'], 'readwrite', onDisk)
      const [recorded, waiting, beyond] = [
        change.objectStore('events'),
        change.objectStore('waiting'),
        change.objectStore('beyond'),
      ]
      void recorded.delete(ofJob(jobId))
      void beyond.delete(apartOfJob(jobId))
      for (const event of more) void beyond.put({ ...event, jobId })
      for (const event of log) {
        void recorded.put({ ...event, jobId })
        const order = await waiting.index('act').getKey(event.id)
        if (order !== undefined) void waiting.delete(order)
      }
      await change.done
    },
    async rejoin(jobId, acts) {
      const change = (await database()).transaction(['waiting', 'beyond'], 'readwrite', onDisk)
      const [waiting, beyond] = [change.objectStore('waiting'), change.objectStore('beyond')]
      void beyond.delete(apartOfJob(jobId))
      const first = (await waiting.openKeyCursor())?.key ?? 1
      for (const [index, act] of acts.entries()) void waiting.put({ ...act, order: first - acts.length + index })
      await change.done
    },
    async errands() {
      const errands = await (await database()).getAll('errands')
      return errands.sort((a, b) => (a.at < b.at ? -1 : 1))
    },
    async keepErrand(errand) {
      await (await database()).put('errands', errand)
    },
    async dropErrand(id) {
      await (await database()).delete('errands', id)
    },
    answer: async address => (await (await database()).get('answers', address)) ?? null,
    async keepAnswer(address, answer) {
      await (await database()).put('answers', answer, address)
    },
    async forgetAnswers() {
      await (await database()).clear('answers')
    },
  }
}
