import { kindOf, refuse, wordsOf } from './chapter'
import type { Book, LogState, Refusal } from './chapter'
import { effectiveEvents } from './effective'
import { isCorrection } from './event'
import type { AnyEvent, Corrections, LogEvent } from './event'
import { reduceLog } from './reduce'

/** The last act that can be undone, or `null`. Given first in the log and still counting. */
export function lastUndoable<State extends LogState, Event extends AnyEvent>(
  book: Book<State>,
  events: Event[],
): Event | null {
  return effectiveEvents(events).findLast(event => kindOf(book, event)?.undo) ?? null
}

/** An act in a few words, as shown when it is undone. */
export function describeEvent<State extends LogState>(book: Book<State>, event: AnyEvent, events: AnyEvent[]): string {
  if (isCorrection(event)) {
    const target = events.find(({ id }) => id === event.payload.eventId)
    return target ? `Undo: ${describeEvent(book, target, events)}` : 'Undo'
  }
  const kind = kindOf(book, event)
  if (!kind) return String(event.type)
  return typeof kind.words === 'string' ? kind.words : wordsOf(kind, reduceLog(book, events), event)
}

/** Whether an event may be taken back: only the last that still counts, or an undo itself. */
export function admitUndo<State extends LogState>(
  book: Book<State>,
  { payload }: LogEvent<Corrections>,
  log: AnyEvent[],
): Refusal | null {
  const target = log.find(event => event.id === payload.eventId)
  if (!target) return refuse('payload.eventId', 'No such event on this job.')
  if (isCorrection(target)) return null
  if (!effectiveEvents(log).includes(target)) return refuse('payload.eventId', 'That is undone already.')
  return lastUndoable(book, log) === target
    ? null
    : refuse('payload.eventId', 'Something came after it. Undo goes back one act at a time.')
}
