import type { WebSocket } from 'ws'

/** Lines of JSON from a client; what is none is answered with an error and changes nothing. */
export function readLines<T>(client: WebSocket, text: string, take: (message: T) => string | null): void {
  for (const line of text.split('\n').filter(part => part.trim())) {
    let reason: string | null
    try {
      reason = take(JSON.parse(line) as T)
    } catch {
      reason = 'A line is one JSON object.'
    }
    if (reason) client.send(`${JSON.stringify({ type: 'error', reason })}\n`)
  }
}
