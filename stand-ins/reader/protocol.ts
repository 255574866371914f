/**
 * What a controller reader and Eldrin say to each other: one JSON object a line, over WebSocket.
 * `docs/formats/reader.md` is this in words.
 */
export interface ReadCode {
  code: string
  text: string
  /** What is wrong now, or was and is remembered. */
  state: 'active' | 'stored'
}

export interface LiveValue {
  id: string
  name: string
  value: number
  unit: string
  /** Between these the controller finds it in order. */
  low?: number
  high?: number
}

export type FromReader =
  | { type: 'hello'; reader: string; routines: { id: string; name: string }[] }
  | { type: 'codes'; codes: ReadCode[] }
  | { type: 'values'; values: LiveValue[] }
  /** A routine that was begun, how far it is in 100, how it ended. */
  | { type: 'begun'; routine: string }
  | { type: 'progress'; routine: string; percent: number }
  | { type: 'done'; routine: string }
  | { type: 'refused'; routine: string; reason: string }
  | { type: 'error'; reason: string }

export type ToReader =
  { type: 'read-codes' } | { type: 'clear-codes' } | { type: 'read-values' } | { type: 'run'; routine: string }
