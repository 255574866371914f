import type { Place } from '../../core/packs'

/** The word and the letter of each place. */
export const placeNames: Record<Place, { letter: string; word: string }> = {
  top: { letter: 'T', word: 'Top' },
  cab: { letter: 'C', word: 'Cab' },
  wheels: { letter: 'W', word: 'Wheels' },
  under: { letter: 'U', word: 'Under' },
  bench: { letter: 'B', word: 'Bench' },
}
