import type { EventPayloads, JobEvent, JobState } from '../chapters'

/**
 * What is written down in place of an act that cannot count any more.
 * Nothing is left to do about it where it was done already by somebody else, or where it only took back what did not count either.
 * @param reason the sentence of who refused it
 */
export function uncounted(
  state: Pick<JobState, 'done' | 'aside'>,
  { id, type, payload, deviceId, deviceTime, personId }: JobEvent,
  reason: string,
): EventPayloads['act-set-aside'] {
  const doneAlready = type === 'step-done' && !!state.done[payload.stepId]
  const takesBackNothing = type === 'undone' && state.aside.some(({ act }) => act.id === payload.eventId)
  return {
    act: { id, type, payload, deviceId, deviceTime, personId },
    reason,
    ...(doneAlready || takesBackNothing ? { settled: true } : {}),
  }
}
