import { setTimeout as pausing } from 'node:timers/promises'
import { connectionTo, CutWhenSilent } from '../db/client'

/** That a job has new events. */
export interface JobNews {
  garageId: string
  jobId: string
  seq: number
}

export interface FeedListener {
  news: (news: JobNews) => void
  /** Something may have been missed: the line was taken up again, or it is time to look anyway. */
  missed: () => void
}

/** How often the listening line is asked whether it is alive. */
const PULSE_MS = 5_000
/** However good the line looks, nothing is stale for longer. */
const LOOK_MS = 30_000
const FIRST_PAUSE_MS = 100
const LONGEST_PAUSE_MS = 2_000

const listeners = new Set<FeedListener>()
let stopped: AbortController | undefined

/**
 * Calls back whenever any process adds events to a job. One connection listens for the whole process; when it is lost,
 * another takes its place and everybody is told that something may have been missed. Nothing else is kept in memory.
 * @returns a function that ends it
 */
export function onJobNews(listener: FeedListener): () => void {
  listeners.add(listener)
  if (!stopped) {
    stopped = new AbortController()
    void keepListening(process.env.DATABASE_URL!, stopped.signal)
  }
  return () => listeners.delete(listener)
}

/** Ends listening, for a process that stops. */
export function stopJobNews(): void {
  stopped?.abort()
  listeners.clear()
}

async function keepListening(url: string, signal: AbortSignal): Promise<void> {
  const looking = setInterval(everybodyLooks, LOOK_MS)
  let pause = FIRST_PAUSE_MS
  while (!signal.aborted) {
    const listened = await listen(url, signal)
    pause = listened ? FIRST_PAUSE_MS : Math.min(pause * 2, LONGEST_PAUSE_MS)
    await pausing(pause, undefined, { signal }).catch(() => {})
  }
  clearInterval(looking)
}

/** Listens as long as the line holds. @returns whether it held at all */
async function listen(url: string, signal: AbortSignal): Promise<boolean> {
  const client = new CutWhenSilent(connectionTo(url))
  const gone = new Promise<void>(resolve => {
    client.on('error', () => resolve())
    client.on('end', () => resolve())
    signal.addEventListener('abort', () => resolve(), { once: true })
  })
  let held = false
  try {
    await client.connect()
    client.on('notification', ({ payload }) => {
      const news = JSON.parse(payload!) as JobNews
      for (const each of listeners) each.news(news)
    })
    await client.query('listen job_event')
    held = true
    everybodyLooks()
    while (!signal.aborted && (await Promise.race([gone.then(() => false), pausing(PULSE_MS, true, { signal })])))
      await client.query('select 1')
  } catch {
    // The next line is tried by who called.
  }
  void client.end().catch(() => {})
  return held
}

function everybodyLooks(): void {
  for (const each of listeners) each.missed()
}
