import type { Issue } from '../../contracts/answers'
import type { PostedEvents } from '../../contracts/events'
import type { JobEvent } from '../../core/job'
import type { PostResult } from './outbox'

const PATIENCE_MS = 10_000
/** Answers that say nothing of the events themselves: they are sent again. */
const NOT_NOW = new Set([403, 408, 421, 425, 429])

/** Posts events of one job. Everything but a clear yes or no counts as nobody being there. */
export async function postEvents(jobId: string, events: JobEvent[]): Promise<PostResult> {
  try {
    const response = await fetch(`/api/jobs/${jobId}/events`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ events: events.map(({ jobId: _jobId, seq: _seq, saidAt: _saidAt, ...event }) => event), sentAt: new Date().toISOString() }),
      signal: AbortSignal.timeout(PATIENCE_MS),
    })
    const body = await response.json() as PostedEvents & { data?: { issues?: Issue[] } }
    if (response.ok) return { kind: 'accepted', accepted: body.accepted }
    if (response.status >= 500 || NOT_NOW.has(response.status)) return { kind: 'offline' }
    return { kind: 'refused', issues: body.data?.issues ?? [{ path: '', reason: 'The server refused it.' }] }
  }
  catch {
    return { kind: 'offline' }
  }
}
