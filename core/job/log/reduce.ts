import { kindOf, wordsOf } from './chapter'
import type { Book, LogState } from './chapter'
import { effectiveEvents } from './effective'
import type { AnyEvent } from './event'

/** Adds one event to a state, in place. Types it does not know, from a newer device, are passed over. */
export function applyEvent<State extends LogState>(book: Book<State>, state: State, event: AnyEvent): void {
  const kind = kindOf(book, event)
  if (!kind) return
  const noted = book.watch?.(state)
  kind.apply(state, event)
  noted?.(event as never, () => wordsOf(kind, state, event))
}

/** Each event once: those with a number by it, those still waiting for one after them. */
function inOrder<Event extends AnyEvent>(events: Event[]): Event[] {
  const seen = new Set<string>()
  return events
    .filter(event => !seen.has(event.id) && seen.add(event.id))
    .map((event, index) => ({ event, index }))
    .sort((a, b) => (a.event.seq ?? Infinity) - (b.event.seq ?? Infinity) || a.index - b.index)
    .map(({ event }) => event)
}

/** The state that a log leads to; see `reduceJob`. */
export function reduceLog<State extends LogState>(book: Book<State>, events: AnyEvent[]): State {
  const ordered = inOrder(events)
  const state = book.empty()
  for (const event of effectiveEvents(ordered)) applyEvent(book, state, event)
  state.lastSeq = ordered.reduce((last, event) => Math.max(last, event.seq ?? 0), 0)
  state.lastAt = ordered.at(-1)?.deviceTime ?? null
  return state
}

/** Every event of a log that counts, with the state it leads to: one state, changed in place. */
export function* walkLog<State extends LogState, Event extends AnyEvent>(
  book: Book<State>,
  events: Event[],
): Generator<{ event: Event; state: State }> {
  const state = book.empty()
  for (const event of effectiveEvents(inOrder(events))) {
    applyEvent(book, state, event)
    yield { event, state }
  }
}
