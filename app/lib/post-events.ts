import type { Issue } from '../../contracts/answers'
import type { PostedEvents } from '../../contracts/events'
import type { JobEvent } from '../../core/job'
import type { PostResult } from './outbox'

const PATIENCE_MS = 10_000

/** Posts events of one job. Everything but a clear yes or no counts as nobody being there. */
export async function postEvents(jobId: string, events: JobEvent[]): Promise<PostResult> {
  try {
    const response = await fetch(`/api/jobs/${jobId}/events`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ events: events.map(({ jobId: _jobId, seq: _seq, ...event }) => event) }),
      signal: AbortSignal.timeout(PATIENCE_MS),
    })
    const body = await response.json() as PostedEvents & { data?: { issues?: Issue[] } }
    if (response.ok) return { kind: 'accepted', accepted: body.accepted }
    if (response.status >= 500) return { kind: 'offline' }
    return { kind: 'refused', issues: body.data?.issues ?? [{ path: '', reason: 'The server refused it.' }] }
  }
  catch {
    return { kind: 'offline' }
  }
}
