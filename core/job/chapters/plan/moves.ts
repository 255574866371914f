import type { JobEvent, JobState } from '../../chapters'

/** Something that changed how long a job takes. */
export interface PlanMove {
  /** ISO 8601. */
  at: string
  personId: string
  /** The act in a few words. */
  words: string
  /** Why, as it was given; empty where nobody was asked. */
  because: string
  /** Minutes that the whole plan takes more, or less. */
  minutes: number
}

/** Less than this is the order finding its feet. */
const LEAST_MINUTES = 1

/**
 * Keeps what moves the plan after it was made, by how many minutes and why: work that came or went, orders changed, parts whose day
 * moved. The working off of it moves nothing.
 * @param state as it is before an event; what is given back is called when the event was applied
 */
export function watchPlan(state: JobState): (event: JobEvent, words: () => string) => void {
  const { plan } = state
  return (event, words) => {
    if (!plan || state.plan === plan || event.type === 'plan-made') return
    const minutes = state.plan!.totals.minutes - plan.totals.minutes
    if (Math.abs(minutes) < LEAST_MINUTES) return
    const { deviceTime: at, personId } = event
    state.moves = [...state.moves, { at, personId, words: words(), because: becauseOf(event), minutes }]
  }
}

function becauseOf(event: JobEvent): string {
  switch (event.type) {
    case 'apart-again':
      return event.payload.because
    case 'step-left-out':
      return event.payload.reason
    case 'options-switched':
      return event.payload.decided?.because ?? ''
    default:
      return ''
  }
}
