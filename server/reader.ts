import type { Reader } from '../core/say'
import type { TermTable } from '../core/packs'
import type { garage } from './db/schema'

type Settings = Pick<
  typeof garage.$inferSelect,
  'words' | 'torqueUnit' | 'lengthUnit' | 'distanceUnit' | 'massUnit' | 'volumeUnit'
>

/** How a garage reads sentences: its words, its units. */
export function readerOf(
  { words, torqueUnit, lengthUnit, distanceUnit, massUnit, volumeUnit }: Settings,
  terms: TermTable,
): Reader {
  return {
    terms,
    words,
    units: { torque: torqueUnit, length: lengthUnit, distance: distanceUnit, mass: massUnit, volume: volumeUnit },
  }
}
