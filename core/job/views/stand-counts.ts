import type { ItemState } from '../../pack/kinds'
import type { JobState } from '../chapters'
import { openEntries } from './ledger'

/** How many pieces of the car stand how. A piece that is off is not on the car at all: a part taken off, or a bolt that is out. */
export type StandCounts = Record<ItemState, number>

/** What of the car is not as it leaves the garage, counted by state. The strip, the Yard and the Car view all tell these. */
export function standCounts(state: JobState): StandCounts {
  const counts: StandCounts = { off: 0, open: 0, unplugged: 0, slack: 0, propped: 0 }
  // A bolt that somebody told out beside what the steps took is off like any other.
  for (const { item, count } of openEntries(state)) counts[item?.state ?? 'off'] += count
  return counts
}
