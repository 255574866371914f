import type { Permission as Wanted } from '../../people/roles'
import type { AnyEvent, LogEvent } from './event'

/** Why an event cannot enter the log: the field at fault and a sentence for the person. */
export interface Refusal {
  path: string
  reason: string
}

export const refuse = (path: string, reason: string): Refusal => ({ path, reason })

/** Whether an event may enter the log of a job in this state; `null` when it may. */
export type Rule<State, Event> = (state: State, event: Event) => Refusal | null

type Permission<State, Event> = boolean | ((state: State, event: Event) => boolean)

/** One type of event: everything the log has to know of it. */
export interface Kind<State, Event> {
  /** The act in a few words, as it is called where it is undone; `state` is that before the undo. */
  words: string | ((state: State, event: Event) => string)
  /** What it wants of who does it. */
  wants: Wanted
  /** Whether undo takes it back, one act at a time. */
  undo: boolean
  /** Whether it still makes sense when the car is with its owner again. */
  afterHandover: Permission<State, Event>
  /** Whether it still makes sense when the job was called off. */
  afterCallOff: Permission<State, Event>
  /** It is what a log begins with. */
  opens?: true
  admit: Rule<State, Event>
  /** Changes the state in place. */
  apply: (state: State, event: Event) => void
}

/** A chapter of a job: every type of event of one subject. An event without a rule, words, permissions or applier does not compile. */
export type ChapterOf<State, Payloads> = { [T in keyof Payloads]: Kind<State, LogEvent<Payloads, T>> }

/** What the log keeps in a state by itself. */
export interface LogState {
  lastSeq: number
  lastAt: string | null
}

/** All chapters together, and what the log asks of a state. */
export interface Book<State extends LogState> {
  // Which events a kind takes is known to the chapters alone.
  kinds: Record<PropertyKey, Kind<State, never>>
  empty: () => State
  isOpen: (state: State) => boolean
  /** Looks at a state before an event; what it gives back is called after it, whatever the event was. */
  watch?: (state: State) => (event: never, words: () => string) => void
  /** How the job has ended, with what is told to whoever goes on; `null` while it runs. */
  ended: (state: State) => { permission: 'afterHandover' | 'afterCallOff'; refusal: Refusal } | null
}

/** The kind of an event; `null` for a type from a newer device. */
export function kindOf<State extends LogState>(book: Book<State>, event: AnyEvent): Kind<State, AnyEvent> | null {
  return Object.hasOwn(book.kinds, event.type) ? (book.kinds[event.type] as Kind<State, AnyEvent>) : null
}

/** An act in a few words, by the state that it has led to. */
export function wordsOf<State>({ words }: Kind<State, AnyEvent>, state: State, event: AnyEvent): string {
  return typeof words === 'string' ? words : words(state, event)
}
