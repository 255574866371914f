import type { JobState } from '../../chapters'

/** Counts things off (above zero) or back (below). An entry at zero is not listed; one that never came off does not go below. */
export function countInLedger(state: JobState, itemId: string, change: number): void {
  const left = Math.max(0, (state.ledger[itemId] ?? 0) + change)
  if (left === 0) delete state.ledger[itemId]
  else state.ledger[itemId] = left
  if (left > 0) state.everOff[itemId] = Math.max(left, state.everOff[itemId] ?? 0)
}
