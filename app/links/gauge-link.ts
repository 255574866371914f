import { z } from 'zod'
import { JsonLines } from './json-lines'

/** What a dial gauge that speaks tells. Another gauge is another implementation of `DialGaugeLink`. */
export interface GaugeEvents {
  connected: (name: string) => void
  gone: (reason: string) => void
  /** The hand has taken a reading; the angle is `null` where the gauge does not know where it stands. */
  reading: (angleDeg: number | null, heightMm: number) => void
  zeroed: () => void
}

export interface DialGaugeLink {
  open: (events: GaugeEvents) => void
  /** Another circle begins, by its name. */
  circle: (name: string) => void
  zero: () => void
  close: () => void
}

const message = z.discriminatedUnion('type', [
  z.object({ type: z.literal('hello'), gauge: z.string(), resolutionMm: z.number() }),
  z.object({ type: z.literal('reading'), angleDeg: z.number().nullable(), heightMm: z.number() }),
  z.object({ type: z.literal('zeroed') }),
])

/** JSON lines over WebSocket, as `docs/formats/gauge.md` has it. */
export class WebSocketGauge implements DialGaugeLink {
  private readonly lines: JsonLines

  constructor(address: string) {
    this.lines = new JsonLines(address)
  }

  open(events: GaugeEvents): void {
    this.lines.open(
      heard => {
        const parsed = message.safeParse(heard)
        if (!parsed.success) return
        const said = parsed.data
        if (said.type === 'hello') events.connected(said.gauge)
        else if (said.type === 'reading') events.reading(said.angleDeg, said.heightMm)
        else events.zeroed()
      },
      neverBegan =>
        events.gone(
          neverBegan
            ? 'That is no address of a gauge. It begins with ws://.'
            : 'The gauge does not answer. What was read is kept; enter the rest by hand, or connect it again.',
        ),
    )
  }

  circle(name: string): void {
    this.lines.tell({ type: 'circle', name })
  }

  zero(): void {
    this.lines.tell({ type: 'zero' })
  }

  close(): void {
    this.lines.close()
  }
}
