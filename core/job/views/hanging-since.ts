import type { JobEvent } from '../chapters'
import { walkJob } from '../job'
import { hangingNow } from './holding'

/**
 * The act by which each load that hangs now came to hang: the one after the last at which something held it. What was undone never was.
 * @param events the log of the job, whole
 * @returns load → when that was done, ISO 8601
 */
export function hangingSince(events: JobEvent[]): Record<string, string> {
  let since: Record<string, string> = {}
  for (const { event, state } of walkJob(events))
    since = Object.fromEntries(hangingNow(state).map(({ loadId }) => [loadId, since[loadId] ?? event.deviceTime]))
  return since
}
