import type { JobEvent, Refusal } from '../../core/job'
import { TOLERATED_SKEW_MS } from '../../core/job/log/set-right'

/** Who a device may send acts of, and until when they were at it. */
export interface AtDevice {
  /** When they were said to be there no more; `null` while nobody has. */
  leftAt: Date | null
  /** Works in the garage no more. */
  gone: boolean
}

/** What is noted of an act that comes when whoever did it has left: it was done before, and stands. */
export function markLate({ leftAt, gone }: AtDevice): Pick<JobEvent, 'late'> {
  return leftAt !== null || gone ? { late: true } : {}
}

/** Why an act does not count: it was done after whoever it names had left the device. `null` where it was before. */
export function doneAfterLeaving({ deviceTime }: Pick<JobEvent, 'deviceTime'>, { leftAt }: AtDevice): Refusal | null {
  if (leftAt === null || Date.parse(deviceTime) <= leftAt.getTime() + TOLERATED_SKEW_MS) return null
  return { path: 'personId', reason: 'This was done when they were signed in on this device no more.' }
}
