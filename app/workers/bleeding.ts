import { simulateBleed } from '../../core/hydraulics'
import type { BleedLine, BleedMethod, BleedReport } from '../../core/hydraulics'

/** Simulates a bleeding beside the page, so that nothing on it waits. */
export interface BleedQuestion { id: number, line: BleedLine, method: BleedMethod, seed: number }
export type BleedAnswer = { id: number, report: BleedReport } | { id: number, reason: string }

self.onmessage = ({ data: { id, line, method, seed } }: MessageEvent<BleedQuestion>) => {
  try {
    self.postMessage({ id, report: simulateBleed(line, method, seed) } satisfies BleedAnswer)
  }
  catch (error) {
    self.postMessage({ id, reason: error instanceof Error ? error.message : String(error) } satisfies BleedAnswer)
  }
}
