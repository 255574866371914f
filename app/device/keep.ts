import type { JobEvent } from '../../core/job'
import type { WaitingAct } from '../log/waiting-act'

/** An answer of the server as it was last, for when there is none. */
export interface KeptAnswer {
  body: unknown
  /** ISO 8601, by this device's clock. */
  at: string
}

/** What this device keeps: logs, what waits to be sent, and the server's last answers. Each call is whole or not at all. */
export interface Keep {
  /** Whether it outlives the page. */
  readonly isLasting: boolean
  /** What is recorded of a job, by number. */
  events(jobId: string): Promise<JobEvent[]>
  /** What waits to be sent of a job, in the order it was done. */
  waiting(jobId: string): Promise<WaitingAct[]>
  /** The jobs of which something waits. */
  jobsWaiting(): Promise<string[]>
  /** Keeps acts that were just done. */
  add(acts: WaitingAct[]): Promise<void>
  /** Keeps what is in the server's log; what of it waited waits no more. */
  record(jobId: string, events: JobEvent[]): Promise<void>
  /** Puts an act in the place of one that waits. */
  replace(actId: string, act: WaitingAct): Promise<void>
  /** Lets go of acts that wait: others stand for them in the log. */
  drop(actIds: string[]): Promise<void>
  /** Forgets what is recorded of a job, never what waits. */
  forget(jobId: string): Promise<void>
  answer(address: string): Promise<KeptAnswer | null>
  keepAnswer(address: string, answer: KeptAnswer): Promise<void>
}
