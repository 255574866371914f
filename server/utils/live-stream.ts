import type { ServerResponse } from 'node:http'
import { createEventStream } from 'h3'
import type { EventStreamMessage, H3Event } from 'h3'
import { STILL_IN_MS } from '../how-long'
import type { JobNews } from '../jobs/news'
import { streams } from '../seen/measures'
import { garageOf, stillIn } from '../who/asker'
import { onJobNews } from './job-feed'

const HEARTBEAT_MS = 20_000

const open = new Set<() => Promise<void>>()

/** A client that leaves so much unread, in bytes, is let go; it comes back and asks for what it has missed. */
const MOST_UNREAD = 1_000_000
/** Beyond this, what comes next waits until some of it was read. */
const MOST_AHEAD = 64_000

const READ_WITHIN_MS = 20_000

/** What may be told on a stream. */
export interface Telling {
  push: (message: string | EventStreamMessage) => Promise<void>
}

/**
 * Answers with server-sent events that follow the news of jobs until the caller goes away or the server stops.
 * @param onNews called with each piece of news; with `null` when the stream is open and whenever something may have been missed
 */
export async function liveStream(
  event: H3Event,
  onNews: (stream: Telling, news: JobNews | null) => unknown,
): Promise<string | void> {
  // Who only asks for the head would wait for an end that never comes.
  if (event.context.head) return ''
  const stream = createEventStream(event)
  const { res } = event.node
  let waiting = 0
  const telling: Telling = {
    async push(message) {
      const size = typeof message === 'string' ? message.length : message.data.length
      if (res.writableLength + waiting + size > MOST_UNREAD) return close()
      waiting += size
      const isRead = res.writableLength <= MOST_AHEAD || (await read(res))
      waiting -= size
      if (!isRead) return close()
      await stream.push(message as never)
    },
  }
  const stop = onJobNews({
    garageId: garageOf(event),
    news: news => onNews(telling, news),
    missed: () => onNews(telling, null),
  })
  const heartbeat = setInterval(() => void stream.push({ event: 'still-here', data: '' }), HEARTBEAT_MS)
  const looking = setInterval(() => void stillIn(event).then(isIn => (isIn ? undefined : close())), STILL_IN_MS)
  const close = async () => {
    if (!open.delete(close)) return
    streams.dec()
    clearInterval(heartbeat)
    clearInterval(looking)
    stop()
    await stream.close()
  }
  open.add(close)
  streams.inc()
  stream.onClosed(close)
  void stream.push({ event: 'still-here', data: '' })
  onNews(telling, null)
  return stream.send()
}

/** Waits until some of what was written has gone. @returns whether it has; whoever reads nothing for so long is let go */
const read = (res: ServerResponse) =>
  new Promise<boolean>(resolve => {
    const end = (isRead: boolean) => {
      clearTimeout(patience)
      res.off('drain', drained)
      res.off('close', gone)
      resolve(isRead)
    }
    const drained = () => end(true)
    const gone = () => end(false)
    const patience = setTimeout(gone, READ_WITHIN_MS)
    res.once('drain', drained)
    res.once('close', gone)
    if (res.destroyed) gone()
  })

/** Tells every stream that the server stops, and ends it; whoever listens comes back to another process. */
export async function closeStreams(): Promise<void> {
  await Promise.all([...open].map(close => close()))
}
