import { applyEvent, describeEvent, reduceJob } from '../job'
import type { JobEvent } from '../chapters'
import { effectiveEvents } from '../log/effective'

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
 * What moved the plan since it was made, by how many minutes and why, in the order it happened: work that came or went, orders changed,
 * parts whose day moved. What was undone has moved nothing; nor has the working off of it.
 */
export function planMoves(events: JobEvent[]): PlanMove[] {
  const state = reduceJob([])
  const before: JobEvent[] = []
  return effectiveEvents(events).flatMap((event): PlanMove[] => {
    const [plan, took] = [state.plan, state.plan?.totals.minutes]
    applyEvent(state, event)
    before.push(event)
    if (took === undefined || state.plan === plan || event.type === 'plan-made') return []
    const minutes = state.plan!.totals.minutes - took
    if (Math.abs(minutes) < LEAST_MINUTES) return []
    const { deviceTime: at, personId } = event
    return [{ at, personId, words: describeEvent(event, [...before]), because: becauseOf(event), minutes }]
  })
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
