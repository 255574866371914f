import { z } from 'zod'
import { JsonLines } from './json-lines'

/** A code that a controller holds: wrong now, or remembered. */
export interface ReaderCode {
  code: string
  text: string
  state: 'active' | 'stored'
}

/** What a controller sees now. */
export interface ReaderValue {
  id: string
  name: string
  value: number
  unit: string
  /** The controller's own limits, where it has any. */
  low?: number | undefined
  high?: number | undefined
}

/** What a controller reader tells. Another reader is another implementation of `ControllerReaderLink`. */
export interface ReaderEvents {
  connected: (name: string, routines: { id: string; name: string }[]) => void
  gone: (reason: string) => void
  codes: (codes: ReaderCode[]) => void
  values: (values: ReaderValue[]) => void
  /** How far a routine is, in 100. */
  progress: (routine: string, percent: number) => void
  done: (routine: string) => void
  refused: (routine: string, reason: string) => void
}

export interface ControllerReaderLink {
  open: (events: ReaderEvents) => void
  readCodes: () => void
  clearCodes: () => void
  readValues: () => void
  run: (routine: string) => void
  close: () => void
}

const text = z.string().max(300)
const message = z.discriminatedUnion('type', [
  z.object({
    type: z.literal('hello'),
    reader: text,
    routines: z.array(z.object({ id: text, name: text })).max(100),
  }),
  z.object({
    type: z.literal('codes'),
    codes: z.array(z.object({ code: text, text, state: z.enum(['active', 'stored']) })).max(200),
  }),
  z.object({
    type: z.literal('values'),
    values: z
      .array(
        z.object({
          id: text,
          name: text,
          value: z.number(),
          unit: text,
          low: z.number().optional(),
          high: z.number().optional(),
        }),
      )
      .max(200),
  }),
  z.object({ type: z.literal('begun'), routine: text }),
  z.object({ type: z.literal('progress'), routine: text, percent: z.number() }),
  z.object({ type: z.literal('done'), routine: text }),
  z.object({ type: z.literal('refused'), routine: text, reason: text }),
])

/** JSON lines over WebSocket, as `docs/formats/reader.md` has it. */
export class WebSocketReader implements ControllerReaderLink {
  private readonly lines: JsonLines

  constructor(address: string) {
    this.lines = new JsonLines(address)
  }

  open(events: ReaderEvents): void {
    this.lines.open(
      heard => {
        const parsed = message.safeParse(heard)
        if (!parsed.success) return
        const said = parsed.data
        switch (said.type) {
          case 'hello':
            return events.connected(said.reader, said.routines)
          case 'codes':
            return events.codes(said.codes)
          case 'values':
            return events.values(said.values)
          case 'begun':
            return events.progress(said.routine, 0)
          case 'progress':
            return events.progress(said.routine, said.percent)
          case 'done':
            return events.done(said.routine)
          case 'refused':
            return events.refused(said.routine, said.reason)
        }
      },
      neverBegan =>
        events.gone(
          neverBegan
            ? 'That is no address of a reader. It begins with ws://.'
            : 'The reader does not answer. Write down by hand what it shows, or connect it again.',
        ),
    )
  }

  readCodes(): void {
    this.lines.tell({ type: 'read-codes' })
  }

  clearCodes(): void {
    this.lines.tell({ type: 'clear-codes' })
  }

  readValues(): void {
    this.lines.tell({ type: 'read-values' })
  }

  run(routine: string): void {
    this.lines.tell({ type: 'run', routine })
  }

  close(): void {
    this.lines.close()
  }
}
