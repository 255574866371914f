import type { JobEvent } from '../../core/job'

/** What the server is asked for acts that it works out anew when it hears of them: taking a car in, going on another way. */
export interface Asked {
  id: string
  /** The job is not on the server before this came through. */
  opens?: true
  /** Why the server does not take it; nothing is sent before it is asked again. */
  refusal?: string
  /** Posted one after another; the last is the one that answers for the acts. */
  posts: { path: string; body: Record<string, unknown> }[]
}

/** An act that waits on this device to be sent. */
export type WaitingAct = JobEvent & {
  by?: Asked
  /** What was added to this device's clock when it was done, ms; left out where nothing was. */
  clockOffMs?: number
}

/** What this device's own clock said at an act, ISO 8601. */
export const saidBy = ({ deviceTime, clockOffMs = 0 }: Pick<WaitingAct, 'deviceTime' | 'clockOffMs'>): string =>
  clockOffMs === 0 ? deviceTime : new Date(Date.parse(deviceTime) - clockOffMs).toISOString()
