import { FieldError, within } from '../base/field-error'

/** A word that is called out, and how long what it asks for lasts. */
export interface PaceCall {
  say: string
  seconds: number
}

export interface PaceMoment<C extends PaceCall> {
  /** Whole counts behind it. */
  cycles: number
  index: number
  call: C
  next: C
  /** Until the next word, in s. */
  secondsLeft: number
  /** How much of this call is over, from 0 to 1. */
  share: number
}

/** Seconds of “ready” before the first word. */
export const PACE_LEAD_SECONDS = 3

/** Seconds of one count. @throws FieldError on a word that lasts for no time at all, or for ever */
export function cycleSeconds(calls: PaceCall[]): number {
  if (calls.length === 0) throw new FieldError('calls', 'A count has words that last.')
  return calls.reduce(
    (sum, { seconds }, at) => sum + within(`calls[${at}].seconds`, seconds, 0, 3600, 'A word in s'),
    0,
  )
}

/**
 * Where a spoken count stands, so that two phones that know when it began say the same word at the same time.
 * @param elapsedSeconds since the first word; below zero it has not begun, and the answer is `null`
 * @throws FieldError where nothing is called
 */
export function paceAt<C extends PaceCall>(calls: C[], elapsedSeconds: number): PaceMoment<C> | null {
  const whole = cycleSeconds(calls)
  if (!(whole > 0)) throw new FieldError('calls', 'A count has words that last.')
  if (elapsedSeconds < 0) return null
  const cycles = Math.floor(elapsedSeconds / whole + 1e-9)
  let inside = Math.max(0, elapsedSeconds - cycles * whole)
  let index = 0
  while (index < calls.length - 1 && inside >= calls[index]!.seconds - 1e-9) inside -= calls[index++]!.seconds
  const call = calls[index]!
  return {
    cycles,
    index,
    call,
    next: calls[(index + 1) % calls.length]!,
    secondsLeft: Math.max(0, call.seconds - inside),
    share: Math.min(1, inside / call.seconds),
  }
}
