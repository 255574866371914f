import type { TighteningPass } from './tightening-passes'

/** A run as it was started: its passes never change afterwards. */
export interface RunPlan {
  passes: TighteningPass[]
}

/** What to turn next. */
export interface NextBolt {
  passIndex: number
  pass: TighteningPass
  bolt: number
  /** How many of this pass are done. */
  turnedInPass: number
}

/** How many turns of the wrench the whole run has. */
export function runLength(run: RunPlan): number {
  return run.passes.reduce((sum, pass) => sum + pass.order.length, 0)
}

/**
 * The bolt that comes next after `turned` turns, or `null` when the run is complete.
 * @param turned turns done since the start, over all passes
 */
export function nextBolt(run: RunPlan, turned: number): NextBolt | null {
  let before = 0
  for (const [passIndex, pass] of run.passes.entries()) {
    if (turned < before + pass.order.length) {
      return { passIndex, pass, bolt: pass.order[turned - before]!, turnedInPass: turned - before }
    }
    before += pass.order.length
  }
  return null
}
