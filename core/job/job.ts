import { book } from './chapters'
import type { JobEvent, JobState } from './chapters'
import { admitEvent } from './log/admit'
import { refuse } from './log/chapter'
import type { Refusal } from './log/chapter'
import { applyEvent as applyToState, reduceLog, walkLog } from './log/reduce'
import { describeEvent as describe, lastUndoable as lastUndoableOf } from './log/undo'

/**
 * The state of a job: a pure function of its events, the same in the browser, in the server and in tests.
 *
 * Events count in the order of the list: those with a sequence number by that number, those still waiting
 * for one after them. The same event given twice counts once.
 * @param events events of one job, in any order as far as they are numbered
 */
export const reduceJob = (events: JobEvent[]): JobState => reduceLog(book, events)

/** Adds one event to a state, in place. Types it does not know, from a newer device, are passed over. */
export const applyEvent = (state: JobState, event: JobEvent): void => applyToState(book, state, event)

/** Every event of a job that counts, with the state it leads to: one state, changed in place. */
export const walkJob = (events: JobEvent[]) => walkLog(book, events)

/**
 * Whether an event may enter the log of a job in this state.
 * @param log the events so far, in order; `state` is what `reduceJob` makes of them
 * @returns `null` when it may, else the field at fault and the reason
 */
export const admit = (state: JobState, event: JobEvent, log: JobEvent[]): Refusal | null =>
  isSetAside(state, event.id) ?? admitEvent(book, state, event, log)

/** An act counts or is set aside, whoever brings it once more. */
const isSetAside = ({ aside }: JobState, actId: string): Refusal | null =>
  aside.some(({ act }) => act.id === actId) ? refuse('id', 'This act is set aside already.') : null

/** The last act that can be undone, or `null`. Given first in the log and still counting. */
export const lastUndoable = (events: JobEvent[]): JobEvent | null => lastUndoableOf(book, events)

/** An act in a few words, as shown when it is undone. */
export const describeEvent = (event: JobEvent, events: JobEvent[]): string => describe(book, event, events)
