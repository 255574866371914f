import { z } from 'zod'
import type { TighteningSample } from '../../core/fasteners'
import { JsonLines } from './json-lines'

/** What a torque wrench that speaks tells. Another wrench is another implementation of `TorqueWrenchLink`. */
export interface WrenchEvents {
  /** It is there, or gone; with the reason when it went. */
  connected: (name: string) => void
  gone: (reason: string) => void
  /** Another bolt is under the socket, turned so far before: samples from here on are its own. */
  bolt: (bolt: number, angleDeg: number) => void
  sample: (sample: TighteningSample) => void
  released: (peakNm: number) => void
}

export interface TorqueWrenchLink {
  open: (events: WrenchEvents) => void
  /** Tells it what it is set to for this pass, and the figure, in N·m. */
  set: (targetNm: number, figureNm: number) => void
  /** Makes it stop. */
  stop: (because: string) => void
  /** Goes to a bolt, by its number; a fresh one has not been turned. */
  next: (bolt: number, fresh: boolean) => void
  close: () => void
}

const message = z.discriminatedUnion('type', [
  z.object({ type: z.literal('hello'), wrench: z.string(), minNm: z.number(), maxNm: z.number() }),
  z.object({ type: z.literal('bolt'), bolt: z.number(), angleDeg: z.number() }),
  z.object({ type: z.literal('sample'), angleDeg: z.number().min(0), torqueNm: z.number() }),
  z.object({ type: z.literal('released'), peakNm: z.number() }),
  z.object({ type: z.literal('error'), reason: z.string() }),
])

/** JSON lines over WebSocket, as `docs/formats/wrench.md` has it. */
export class WebSocketWrench implements TorqueWrenchLink {
  private readonly lines: JsonLines

  constructor(address: string) {
    this.lines = new JsonLines(address)
  }

  open(events: WrenchEvents): void {
    this.lines.open(
      heard => {
        const parsed = message.safeParse(heard)
        if (!parsed.success) return
        const said = parsed.data
        if (said.type === 'hello') events.connected(said.wrench)
        else if (said.type === 'bolt') events.bolt(said.bolt, said.angleDeg)
        else if (said.type === 'sample') events.sample({ angleDeg: said.angleDeg, torqueNm: said.torqueNm })
        else if (said.type === 'released') events.released(said.peakNm)
      },
      neverBegan =>
        events.gone(
          neverBegan
            ? 'That is no address of a wrench. It begins with ws://.'
            : 'The wrench does not answer. What was turned so far is kept; go on by feel, or connect it again.',
        ),
    )
  }

  set(targetNm: number, figureNm: number): void {
    this.lines.tell({ type: 'set', targetNm, figureNm })
  }

  stop(because: string): void {
    this.lines.tell({ type: 'stop', because })
  }

  next(bolt: number, fresh: boolean): void {
    this.lines.tell({ type: 'next', bolt, fresh })
  }

  close(): void {
    this.lines.close()
  }
}
