import type { JobState } from '../../chapters'
import { refuse } from '../../log/chapter'
import type { Refusal } from '../../log/chapter'
import { fetchedBy } from '../again/fetched'
import { partsAwaited } from '../orders/arrivals'

/** Parts of which a step puts back what was noted. */
export function orientationsBackWith(state: JobState, stepId: string) {
  return (state.procedure?.bench.orientations ?? []).filter(entry => entry.back.includes(stepId))
}

/** Parts of which a step is the moment to note which way they lie. */
export function orientationsOffWith(state: JobState, stepId: string) {
  return (state.procedure?.bench.orientations ?? []).filter(entry => entry.off.includes(stepId))
}

/** What a step that puts parts back still has to confirm of the way they go in, or a part of it that is not here. */
export function notReadyToGoIn(state: JobState, stepId: string): Refusal | null {
  const unconfirmed = orientationsBackWith(state, stepId).find(
    entry => state.orientations[entry.id]?.confirmedAt === null,
  )
  if (unconfirmed) {
    const noted = state.orientations[unconfirmed.id]!
    return refuse(
      'payload.stepId',
      `Which way does it go in? ${unconfirmed.name}: ${noted.side}${noted.mark ? `, ${noted.mark}` : ''}. Confirm it first.`,
    )
  }
  const awaited = partsAwaited(state).find(part => part.stepId === stepId && part.partId !== fetchedBy(state, stepId))
  return awaited ? refuse('payload.stepId', `${awaited.name} is still on its way. Say that it is here first.`) : null
}
