import type { JobState } from '../../chapters'
import { backPartId, fetchId } from './with-again'

/** What a step fetches from whoever worked on it, as a part of the plan; `null` for any other step. */
export function fetchedBy(state: JobState, stepId: string): string | null {
  const found = state.again.find(({ againId }) => fetchId(againId) === stepId)
  return found ? backPartId(found.againId) : null
}

/** Fetched is here: nothing is awaited any more. */
export function noteFetched(state: JobState, stepId: string): void {
  const partId = fetchedBy(state, stepId)
  if (partId === null) return
  const arrivals = state.circumstances.arrivals.filter(arrival => arrival.partId !== partId)
  state.circumstances = { ...state.circumstances, arrivals }
}
