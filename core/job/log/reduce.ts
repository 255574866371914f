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

/** The state that a log leads to; see `reduceJob`. */
export function reduceLog<State extends LogState>(book: Book<State>, events: AnyEvent[]): State {
  const seen = new Set<string>()
  const unique = events.filter(event => !seen.has(event.id) && seen.add(event.id))
  const ordered = unique
    .map((event, index) => ({ event, index }))
    .sort((a, b) => (a.event.seq ?? Infinity) - (b.event.seq ?? Infinity) || a.index - b.index)
    .map(({ event }) => event)
  const state = book.empty()
  for (const event of effectiveEvents(ordered)) applyEvent(book, state, event)
  state.lastSeq = ordered.reduce((last, event) => Math.max(last, event.seq ?? 0), 0)
  state.lastAt = ordered.at(-1)?.deviceTime ?? null
  return state
}
