import { createEventStream } from 'h3'
import type { EventStream, H3Event } from 'h3'
import { onJobNews } from './job-feed'
import type { JobNews } from './job-feed'

const HEARTBEAT_MS = 20_000

/**
 * Answers with server-sent events that follow the news of jobs until the caller goes away.
 * @param onNews called with each piece of news; once with `null` when the stream is open
 */
export async function liveStream(event: H3Event, onNews: (stream: EventStream, news: JobNews | null) => void): Promise<void> {
  const stream = createEventStream(event)
  const stop = await onJobNews(news => onNews(stream, news))
  const heartbeat = setInterval(() => void stream.push({ event: 'still-here', data: '' }), HEARTBEAT_MS)
  stream.onClosed(async () => {
    clearInterval(heartbeat)
    stop()
    await stream.close()
  })
  void stream.push({ event: 'still-here', data: '' })
  onNews(stream, null)
  return stream.send()
}
