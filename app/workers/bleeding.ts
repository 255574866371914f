import { simulateBleed } from '../../core/hydraulics'
import type { BleedLine, BleedPhysics, BleedReport } from '../../core/hydraulics'
import { begin } from './begin'

/** What a way comes to on a line. */
export interface WayOutcome {
  id: string
  title: string
  roundsNeeded: number | null
  minutesNeeded: number | null
  usedMl: number
  airMl: number
}

/** Bleedings simulated beside the page, so that nothing on it waits. */
const bleeding = {
  /** One way, round by round. */
  simulate(line: BleedLine, way: BleedPhysics, seed: number): BleedReport {
    return simulateBleed(line, way, seed)
  },
  /** What every way would do on the same line. */
  compare(line: BleedLine, ways: BleedPhysics[], seed: number): WayOutcome[] {
    return ways.map(way => {
      const { roundsNeeded, minutesNeeded, usedMl, rounds } = simulateBleed(line, way, seed)
      return { id: way.id, title: way.title, roundsNeeded, minutesNeeded, usedMl, airMl: rounds.at(-1)!.airMl }
    })
  },
}
export type BleedingWorker = typeof bleeding

begin(bleeding)
