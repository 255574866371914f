import type { BreakIn } from './state'

/** Distance driven and to go in the break-in, in km; `share` from 0 to 1. */
export function distanceToGo(breakIn: BreakIn): { drivenKm: number, toGoKm: number, share: number } {
  const drivenKm = Math.max(0, breakIn.lastKm - breakIn.startKm)
  return { drivenKm, toGoKm: Math.max(0, breakIn.distanceKm - drivenKm), share: Math.min(1, drivenKm / breakIn.distanceKm) }
}
