/** Something that the server alone can do: it waits on this device until there is signal, and is asked for by itself then. */
export interface Errand {
  /** The server knows by it that it was asked before. */
  id: string
  jobId: string
  /** What is wanted, as it is said to whoever wants it. */
  what: string
  path: string
  body: Record<string, unknown>
  /** When it was wanted, ISO 8601. */
  at: string
  /** Why the server does not do it; it is not asked again by itself. */
  refusal?: string
}
