import { openDB } from 'idb'
import type { DBSchema, IDBPDatabase } from 'idb'
import type { JobEvent } from '../../core/job'
import type { WaitingAct } from '../log/waiting-act'
import type { Keep, KeptAnswer } from './keep'

interface Shape extends DBSchema {
  /** Recorded events by job and number. */
  events: { key: [string, number]; value: JobEvent }
  /** Acts that wait, by the order they were done in. */
  waiting: { key: number; value: WaitingAct & { order?: number }; indexes: { job: string; act: string } }
  answers: { key: string; value: KeptAnswer }
}

const NAME = 'eldrin'
const VERSION = 1
/** Acts count as kept when they are on the disk, not in a buffer on the way there. */
const onDisk = { durability: 'strict' } as const

/** Keeps in the browser's database. @throws where the browser forbids it */
export async function indexedKeep(name = NAME): Promise<Keep & { close: () => void }> {
  const database = await openDB<Shape>(name, VERSION, {
    upgrade(fresh) {
      fresh.createObjectStore('events', { keyPath: ['jobId', 'seq'] })
      const waiting = fresh.createObjectStore('waiting', { keyPath: 'order', autoIncrement: true })
      waiting.createIndex('job', 'jobId')
      waiting.createIndex('act', 'id', { unique: true })
      fresh.createObjectStore('answers')
    },
    // A newer page of another tab changes the shape: this one lets go.
    blocking: (_current, _blocked, event) => (event.target as IDBDatabase).close(),
  })
  return { ...keepIn(database), close: () => database.close() }
}

function keepIn(database: IDBPDatabase<Shape>): Keep {
  const ofJob = (jobId: string) => IDBKeyRange.bound([jobId, 0], [jobId, Infinity])
  return {
    isLasting: true,
    events: jobId => database.getAll('events', ofJob(jobId)),
    async waiting(jobId) {
      const acts = await database.getAllFromIndex('waiting', 'job', jobId)
      return acts.sort((a, b) => a.order! - b.order!).map(({ order: _order, ...act }) => act as WaitingAct)
    },
    async jobsWaiting() {
      const jobs: string[] = []
      let cursor = await database.transaction('waiting').store.index('job').openKeyCursor(null, 'nextunique')
      for (; cursor; cursor = await cursor.continue()) jobs.push(cursor.key)
      return jobs
    },
    async add(acts) {
      const change = database.transaction('waiting', 'readwrite', onDisk)
      await Promise.all([...acts.map(act => change.store.add({ ...act })), change.done])
    },
    async record(jobId, events) {
      if (events.length === 0) return
      const change = database.transaction(['events', 'waiting'], 'readwrite', onDisk)
      const [recorded, waiting] = [change.objectStore('events'), change.objectStore('waiting')]
      for (const event of events) {
        void recorded.put({ ...event, jobId })
        const order = await waiting.index('act').getKey(event.id)
        if (order !== undefined) void waiting.delete(order)
      }
      await change.done
    },
    async replace(actId, act) {
      const change = database.transaction('waiting', 'readwrite', onDisk)
      const order = await change.store.index('act').getKey(actId)
      if (order !== undefined) void change.store.put({ ...act, order })
      await change.done
    },
    async drop(actIds) {
      const change = database.transaction('waiting', 'readwrite', onDisk)
      for (const id of actIds) {
        const order = await change.store.index('act').getKey(id)
        if (order !== undefined) void change.store.delete(order)
      }
      await change.done
    },
    async forget(jobId) {
      await database.delete('events', ofJob(jobId))
    },
    answer: async address => (await database.get('answers', address)) ?? null,
    async keepAnswer(address, answer) {
      await database.put('answers', answer, address)
    },
  }
}
