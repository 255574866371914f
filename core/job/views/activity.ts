import { runLength } from '../../fasteners'
import type { Operation } from '../../pack/operations'
import type { JobState } from '../chapters'
import type { GearResult } from '../chapters/proving'

/**
 * What is still missing before a step with an activity can be called done, in words; `null` when nothing is.
 * Steps without an activity miss nothing.
 */
export function tryCompleteActivity(state: JobState, operation: Operation): string | null {
  const { activity } = operation
  if (!activity) return null
  if (activity.kind === 'tighten') {
    const run = state.runs.findLast(entry => entry.stepId === operation.id && entry.dropped === null)
    if (!run) return 'The tightening run has not been started.'
    const stop = run.stops.find(entry => entry.cleared === null)
    if (stop) return `Bolt ${stop.bolt + 1} stopped the run. ${stop.because}`
    const left = runLength(run) - run.turned
    return left > 0 ? `The tightening run has ${left} ${left === 1 ? 'turn' : 'turns'} to go.` : null
  }
  if (activity.kind === 'bleed') {
    const feel = state.bleeding[operation.id]?.rounds.at(-1)?.feel
    return feel === 'firm' ? null : 'The pedal has not been judged firm yet.'
  }
  const tried = state.gears[operation.id] ?? {}
  const missing = (state.vehicle?.gears ?? []).filter(gear => !tried[gear])
  if (missing.length > 0) return `Not tried yet: ${missing.join(', ')}.`
  const bad = badGears(tried)
  const written = state.troubles.some(trouble => trouble.stepId === operation.id)
  return bad.length > 0 && !written ? `Gear ${bad.join(', ')} is not right. Write the trouble down first.` : null
}

/** Gears that make a noise or will not go in. */
export function badGears(tried: Record<string, GearResult>): string[] {
  return Object.entries(tried)
    .filter(([, result]) => result === 'noisy' || result === 'refuses')
    .map(([gear]) => gear)
}

/** Whether nothing is missing. */
export function activityComplete(state: JobState, operation: Operation): boolean {
  return tryCompleteActivity(state, operation) === null
}
