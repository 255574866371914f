/**
 * What a speaking dial gauge and Eldrin say to each other: one JSON object a line, over WebSocket.
 * `docs/formats/gauge.md` is this in words.
 */
export type FromGauge =
  | { type: 'hello'; gauge: string; resolutionMm: number }
  /** A reading that the hand has taken: where on the circle, and what the dial shows. The angle is `null` where it does not know. */
  | { type: 'reading'; angleDeg: number | null; heightMm: number }
  /** The dial was set to zero. */
  | { type: 'zeroed' }
  | { type: 'error'; reason: string }

export type ToGauge =
  /** Another circle begins: which one, by a name the hand can read. */
  | { type: 'circle'; name: string }
  /** Set the dial to zero where it stands. */
  | { type: 'zero' }
