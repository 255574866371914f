import type { JobEvent } from './events'

/**
 * The events that still count: those undone are left out, and so are the corrections themselves.
 * An undo can be undone. Read backwards, so that a later correction rules over an earlier one.
 */
export function effectiveEvents(events: JobEvent[]): JobEvent[] {
  const cancelled = new Set<string>()
  for (let index = events.length - 1; index >= 0; index--) {
    const event = events[index]!
    if (event.type === 'undone' && !cancelled.has(event.id)) cancelled.add(event.payload.eventId)
  }
  return events.filter(event => event.type !== 'undone' && !cancelled.has(event.id))
}
