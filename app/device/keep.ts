import type { JobEvent } from '../../core/job'
import type { Errand } from '../log/errand'
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
  /** The jobs of which anything is recorded. */
  jobsRecorded(): Promise<string[]>
  /** What the server once had of a job and has no more, by number. */
  beyond(jobId: string): Promise<JobEvent[]>
  /** Puts the server's log in the place of what was recorded of a job, and keeps apart these events of those that it has no more, and no others. */
  part(jobId: string, log: JobEvent[], beyond: JobEvent[]): Promise<void>
  /** Puts acts before all that waits of a job, in the place of what was kept apart of it. */
  rejoin(jobId: string, acts: WaitingAct[]): Promise<void>
  /** What the server alone can do and was not asked yet, in the order it was wanted. */
  errands(): Promise<Errand[]>
  keepErrand(errand: Errand): Promise<void>
  dropErrand(id: string): Promise<void>
  answer(address: string): Promise<KeptAnswer | null>
  keepAnswer(address: string, answer: KeptAnswer): Promise<void>
  /** Forgets everything that the server answered. */
  forgetAnswers(): Promise<void>
}
