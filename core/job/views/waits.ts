import type { JobState } from '../chapters'

/** A pause that a step should sit out, and why. */
export interface StepWait {
  until: string
  because: string
}

/**
 * The pause that a link asks for before a step: cure, cool, settle. Told from the time the earlier step was done;
 * it advises and does not refuse, since the clock of a device is no proof.
 * @returns the longest pause among the links, whether over or not, or `null` when there is none
 */
export function waitBefore(state: JobState, stepId: string): StepWait | null {
  const waits = (state.procedure?.links ?? [])
    .filter(link => link.after === stepId && link.waitMinutes > 0 && state.done[link.before])
    .map(link => ({
      until: new Date(Date.parse(state.done[link.before]!.at) + link.waitMinutes * 60_000).toISOString(),
      because: link.because,
    }))
    .sort((a, b) => b.until.localeCompare(a.until))
  return waits[0] ?? null
}
