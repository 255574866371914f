import { ref } from 'vue'
import { keepHere, readHere } from '../log/keep-here'
import { contractHeaders } from './version-gap'

const KEY = 'eldrin-clock-off'
const ADDRESS = '/api/clock'
/** How often the server is asked in a row; the quickest answer is the truest. */
const ASKS = 3
const PATIENCE_MS = 5_000
/** A clock that is off by less is right, as it is for the server: the rest is the way there. */
const TOLERATED_MS = 60_000

/** The server's time less this device's, in ms, as it was last found; kept, for a day without signal. */
const offMs = ref(Number(readHere(KEY) ?? 0) || 0)

/** By how much this device's clock is wrong, in ms to add to it; 0 where it is right. */
export const clockOffMs = (): number => (Math.abs(offMs.value) > TOLERATED_MS ? offMs.value : 0)

/** Now, in the server's time as far as this device knows it, in ms since 1970. */
export const nowMs = (): number => Date.now() + clockOffMs()

export const nowDate = (): Date => new Date(nowMs())

/** The same as ISO 8601. */
export const nowIso = (): string => nowDate().toISOString()

/**
 * The server's time less this device's: half of the quickest round trip is taken for the way back.
 * @param ask asks the server what time it has, in ms since 1970
 * @returns `null` where nobody answered
 */
export async function measureOff(ask: () => Promise<number>, now: () => number = Date.now): Promise<number | null> {
  let [quickest, found]: [number, number | null] = [Infinity, null]
  for (let count = 0; count < ASKS; count++) {
    const sent = now()
    try {
      const there = await ask()
      const took = now() - sent
      if (took < quickest) [quickest, found] = [took, there - (sent + took / 2)]
    } catch {
      break
    }
  }
  return found
}

/** @throws where that is no moment: somebody in between answered */
function momentOf({ now }: { now?: string }): number {
  const moment = Date.parse(now ?? '')
  if (Number.isNaN(moment)) throw new TypeError('That was no answer of the server.')
  return moment
}

/** Finds how far this device's clock is off, and keeps it. @returns the difference in ms; `null` where nobody answered */
export async function setClockRight(): Promise<number | null> {
  const found = await measureOff(async () => {
    const answer = await fetch(ADDRESS, { headers: contractHeaders, signal: AbortSignal.timeout(PATIENCE_MS) })
    return momentOf((await answer.json()) as { now?: string })
  })
  if (found !== null) {
    offMs.value = Math.round(found)
    keepHere(KEY, clockOffMs() === 0 ? null : String(clockOffMs()))
  }
  return found
}
