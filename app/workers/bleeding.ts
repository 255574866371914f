import { methodRounds, simulateBleed } from '../../core/hydraulics'
import type { BleedLine, BleedMethod, BleedReport } from '../../core/hydraulics'

/** Simulates a bleeding beside the page, so that nothing on it waits; and what every other way would do on the same line. */
export interface BleedQuestion { id: number, line: BleedLine, method: BleedMethod, seed: number }
export interface WayOutcome { method: BleedMethod, roundsNeeded: number | null, minutesNeeded: number | null, usedMl: number, airMl: number }
export type BleedAnswer = { id: number, report: BleedReport } | { id: number, ways: WayOutcome[] } | { id: number, reason: string }

self.onmessage = ({ data: { id, line, method, seed } }: MessageEvent<BleedQuestion>) => {
  try {
    self.postMessage({ id, report: simulateBleed(line, method, seed) } satisfies BleedAnswer)
    const ways = (Object.keys(methodRounds) as (keyof typeof methodRounds)[]).map((each): WayOutcome => {
      const { roundsNeeded, minutesNeeded, usedMl, rounds } = simulateBleed(line, each, seed)
      return { method: each, roundsNeeded, minutesNeeded, usedMl, airMl: rounds.at(-1)!.airMl }
    })
    self.postMessage({ id, ways } satisfies BleedAnswer)
  }
  catch (error) {
    self.postMessage({ id, reason: error instanceof Error ? error.message : String(error) } satisfies BleedAnswer)
  }
}
