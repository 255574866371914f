import { createEventStream } from 'h3'
import type { EventStream, H3Event } from 'h3'
import { onJobNews } from './job-feed'
import type { JobNews } from './job-feed'

const HEARTBEAT_MS = 20_000

const open = new Set<() => Promise<void>>()

/**
 * Answers with server-sent events that follow the news of jobs until the caller goes away or the server stops.
 * @param onNews called with each piece of news; with `null` when the stream is open and whenever something may have been missed
 */
export async function liveStream(
  event: H3Event,
  onNews: (stream: EventStream, news: JobNews | null) => unknown,
): Promise<string | void> {
  // Who only asks for the head would wait for an end that never comes.
  if (event.context.head) return ''
  const stream = createEventStream(event)
  const stop = onJobNews({ news: news => onNews(stream, news), missed: () => onNews(stream, null) })
  const heartbeat = setInterval(() => void stream.push({ event: 'still-here', data: '' }), HEARTBEAT_MS)
  const close = async () => {
    open.delete(close)
    clearInterval(heartbeat)
    stop()
    await stream.close()
  }
  open.add(close)
  stream.onClosed(close)
  void stream.push({ event: 'still-here', data: '' })
  onNews(stream, null)
  return stream.send()
}

/** Tells every stream that the server stops, and ends it; whoever listens comes back to another process. */
export async function closeStreams(): Promise<void> {
  await Promise.all([...open].map(close => close()))
}
