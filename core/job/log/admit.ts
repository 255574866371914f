import { kindOf, refuse } from './chapter'
import type { Book, LogState, Refusal } from './chapter'
import { isCorrection } from './event'
import type { AnyEvent } from './event'
import { admitUndo } from './undo'

/** Whether an event may enter a log; see `admit` of a job. */
export function admitEvent<State extends LogState>(
  book: Book<State>,
  state: State,
  event: AnyEvent,
  log: AnyEvent[],
): Refusal | null {
  const kind = kindOf(book, event)
  if (!book.isOpen(state) && !kind?.opens) return refuse('jobId', 'The job has not been opened.')
  if (isCorrection(event)) return admitUndo(book, event, log)
  const end = book.ended(state)
  const permission = end && (kind?.[end.permission] ?? false)
  if (end && !(typeof permission === 'function' ? permission(state, event) : permission)) return end.refusal
  return kind?.admit(state, event) ?? null
}
