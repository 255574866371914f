import type { JobEvent } from '../chapters'
import { reduceJob } from '../job'
import { hangingNow } from './holding'

/** So many acts back it is looked for; what hangs for longer hangs for a day or more. */
const FURTHEST = 200

/**
 * The act by which each load that hangs now came to hang: the one after the last at which something held it, as it was known then.
 * @param events the log of the job, whole
 * @returns load → when that was done, ISO 8601; the furthest looked back to where it hung all the while
 */
export function hangingSince(events: JobEvent[]): Record<string, string> {
  const since: Record<string, string> = {}
  let open = hangingIn(events, events.length)
  for (let count = events.length; open.length > 0 && count > 0 && events.length - count < FURTHEST; count--) {
    for (const load of open) since[load] = events[count - 1]!.deviceTime
    const before = hangingIn(events, count - 1)
    open = open.filter(load => before.includes(load))
  }
  return since
}

const hangingIn = (events: JobEvent[], count: number): string[] =>
  hangingNow(reduceJob(events.slice(0, count))).map(({ loadId }) => loadId)
