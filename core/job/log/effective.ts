import { isCorrection } from './event'
import type { AnyEvent } from './event'

/**
 * The events that still count: those undone are left out, and so are the corrections themselves.
 * An undo can be undone. Read backwards, so that a later correction rules over an earlier one.
 */
export function effectiveEvents<Event extends AnyEvent>(events: Event[]): Event[] {
  const cancelled = new Set<string>()
  for (const event of events.toReversed()) {
    if (isCorrection(event) && !cancelled.has(event.id)) cancelled.add(event.payload.eventId)
  }
  return events.filter(event => !isCorrection(event) && !cancelled.has(event.id))
}
