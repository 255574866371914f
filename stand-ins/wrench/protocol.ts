/**
 * What a speaking wrench and Eldrin say to each other: one JSON object a line, over WebSocket.
 * `docs/formats/wrench.md` is this in words.
 */
export type FromWrench =
  | { type: 'hello'; wrench: string; minNm: number; maxNm: number }
  /** Another bolt is under the socket: what was sampled before belongs to another. */
  | { type: 'bolt'; bolt: number; angleDeg: number }
  | { type: 'sample'; angleDeg: number; torqueNm: number }
  /** The hand let go. */
  | { type: 'released'; peakNm: number }
  | { type: 'error'; reason: string }

export type ToWrench =
  /** What the wrench is set to for this pass, and the figure it leads to. */
  | { type: 'set'; targetNm: number; figureNm?: number }
  /** Stop: the wrench buzzes and takes no more load. */
  | { type: 'stop'; because: string }
  /** The next bolt, by its number from 0: one that was turned before goes on where it was left, unless it is a fresh one. */
  | { type: 'next'; bolt?: number; fresh?: boolean }
