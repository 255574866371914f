/** What is true of every event, whatever it says. */
export interface Envelope {
  /** UUID given by the device. */
  id: string
  jobId: string
  /** Place in the job's log, given by the server; `null` until it has answered. */
  seq: number | null
  deviceId: string
  /** ISO 8601, by the device's clock; set right by the server where that clock was wrong when the device posted. */
  deviceTime: string
  /** What the device's own clock said, where `deviceTime` was set right. */
  saidAt?: string
  personId: string
  /** It reached the server when whoever did it had left the device by then, or the garage. */
  late?: true
}

/** One thing that happened. Never changed, never removed; a correction is another event. `Payloads` says what each type carries. */
export type LogEvent<Payloads, T extends keyof Payloads = keyof Payloads> = {
  [K in T]: Envelope & { type: K; payload: Payloads[K] }
}[T]

/** The log's own event: it takes another one back. */
export interface Corrections {
  undone: { eventId: string }
}

/** An event as the log itself sees it. */
export type AnyEvent = Envelope & { type: PropertyKey; payload: unknown }

export function isCorrection(event: AnyEvent): event is LogEvent<Corrections> {
  return event.type === 'undone'
}
