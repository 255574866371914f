import type { JobState } from '../chapters'
import { forbiddenNow, guardWords } from './guards'
import { openEntries } from './ledger'
import type { OpenEntry } from './ledger'
import { standCounts } from './stand-counts'
import { stepView } from './steps'

/** What somebody needs to know who comes back to a car after days. */
export interface Returning {
  awayMinutes: number
  /** The last step that was done. */
  lastStep: string | null
  offCount: number
  loose: OpenEntry[]
  open: OpenEntry[]
  unplugged: OpenEntry[]
  held: OpenEntry[]
  /** What nobody may do now, and why. */
  mustNot: string[]
}

/** @param now ISO 8601 */
export function returning(state: JobState, now: string): Returning {
  const entries = openEntries(state)
  const of = (...kinds: string[]) => entries.filter(entry => entry.item !== null && kinds.includes(entry.item.state))
  const [last] = Object.entries(state.done).sort(([, a], [, b]) => b.at.localeCompare(a.at))
  return {
    awayMinutes: state.lastAt ? Math.max(0, (Date.parse(now) - Date.parse(state.lastAt)) / 60_000) : 0,
    lastStep: last ? (stepView(state, last[0])?.title ?? null) : null,
    offCount: standCounts(state).off,
    loose: of('slack'),
    open: of('open'),
    unplugged: of('unplugged'),
    held: of('propped'),
    mustNot: forbiddenNow(state).map(({ guard, fact }) => `${guardWords[guard].sentence} ${fact.because}`),
  }
}
