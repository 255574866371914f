import { setTimeout as pausing } from 'node:timers/promises'
import { connectionTo, CutWhenSilent } from '../db/client'
import { directUrl, writableUrl } from '../db/hosts'
import { channelOf, newsOf } from '../jobs/news'
import type { JobNews } from '../jobs/news'

export interface FeedListener {
  garageId: string
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

/** Channel → who listens to it. */
const listeners = new Map<string, Set<FeedListener>>()
let line: CutWhenSilent | undefined
let stopped: AbortController | undefined

/**
 * Calls back whenever any process adds events to a job of a garage. One connection listens for the whole process, to the channels of
 * those garages alone that somebody looks at; when it is lost, another takes its place and everybody is told that something may have
 * been missed. Nothing else is kept in memory.
 * @returns a function that ends it
 */
export function onJobNews(listener: FeedListener): () => void {
  const channel = channelOf(listener.garageId)
  const there = listeners.get(channel) ?? new Set()
  listeners.set(channel, there.add(listener))
  if (there.size === 1) void tellLine(`listen ${channel}`).catch(() => {})
  if (!stopped) {
    stopped = new AbortController()
    void keepListening(directUrl(), stopped.signal)
  }
  return () => {
    there.delete(listener)
    if (there.size > 0 || listeners.get(channel) !== there) return
    listeners.delete(channel)
    void tellLine(`unlisten ${channel}`).catch(() => {})
  }
}

/** Ends listening, for a process that stops. */
export function stopJobNews(): void {
  stopped?.abort()
  listeners.clear()
}

/** What is said to the line goes one after the other. */
let saying: Promise<unknown> = Promise.resolve()

/** Says something to the line. One that is not there yet hears of it when it comes. */
function tellLine(said: string): Promise<unknown> {
  const asked = saying.then(() => line?.query(said))
  // One that breaks over it is replaced, and the next one is told all.
  saying = asked.catch(() => {})
  return asked
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
  let client: CutWhenSilent | undefined
  let held = false
  try {
    const own = (client = new CutWhenSilent(connectionTo(await writableUrl(url))))
    const gone = new Promise<void>(resolve => {
      own.on('error', () => resolve())
      own.on('end', () => resolve())
      signal.addEventListener('abort', () => resolve(), { once: true })
    })
    await own.connect()
    own.on('notification', ({ payload }) => {
      const news = newsOf(payload!)
      for (const each of listeners.get(channelOf(news.garageId)) ?? [])
        if (each.garageId === news.garageId) each.news(news)
    })
    line = own
    await tellLine([...listeners.keys()].map(channel => `listen ${channel}`).join('; ') || 'select 1')
    held = true
    everybodyLooks()
    while (!signal.aborted && (await Promise.race([gone.then(() => false), pausing(PULSE_MS, true, { signal })])))
      await tellLine('select 1')
  } catch {
    // The next line is tried by who called.
  }
  line = undefined
  void client?.end().catch(() => {})
  return held
}

function everybodyLooks(): void {
  for (const there of listeners.values()) for (const each of there) each.missed()
}
