import type { CarPosition, Place } from './kinds'
import type { PlaceReached, Positioning } from './operations'
import type { LedgerItem } from './things'

/** A place to stand at, with the letter and the word it is called by. */
export interface BayPlace {
  id: Place
  letter: string
  name: string
}

/** A way the car stands. */
export interface Stance {
  id: CarPosition
  /** As it is said after a step: "car raised". */
  name: string
  /** What is said of the car where it stands otherwise than a step wants it. */
  said: string
  /** What a step that wants it says. */
  because: string
  /** What is looked at by who comes back to a car that stands so. */
  returning?: string
}

/** What a vehicle is walked round, and the two ways it stands: as it came, and as most of the work wants it. */
export interface Bay {
  id: string
  /** How it is drawn on a line: raised on its supports, or parted in the middle. */
  glyph: (typeof glyphs)[number]
  /** From top to bottom, always in this order; the first is where a job begins. */
  places: BayPlace[]
  stances: [home: Stance, away: Stance]
  /** Minutes to walk from one place to another, to lay hands on a tool, to wash. Common practice, no source. */
  setup: { walkMinutes: number; toolMinutes: number; washMinutes: number }
}

/** Small pictures Eldrin has of a vehicle. */
export const glyphs = ['car', 'tractor'] as const

/** A bay as written, with the ways it is brought from one stance to the other. */
export interface BaySource extends Bay {
  positions: Positioning[]
  reach: PlaceReached[]
  items: LedgerItem[]
}

/** What every job had before layouts named theirs; logs of then say nothing of it. */
const bayBefore: Bay = {
  id: 'car',
  glyph: 'car',
  places: [
    { id: 'top', letter: 'T', name: 'Top' },
    { id: 'cab', letter: 'C', name: 'Cab' },
    { id: 'wheels', letter: 'W', name: 'Wheels' },
    { id: 'under', letter: 'U', name: 'Under' },
    { id: 'bench', letter: 'B', name: 'Bench' },
  ],
  stances: [
    {
      id: 'ground',
      name: 'car on the ground',
      said: 'The car is on the ground',
      because: 'This is done with the car on its wheels.',
    },
    {
      id: 'raised',
      name: 'car raised',
      said: 'The car is raised',
      because: 'This is done with the car raised and standing on its supports.',
      returning: 'Before you go under, look at every support, shake the car, and see that nothing has sunk or crept.',
    },
  ],
  setup: { walkMinutes: 1.5, toolMinutes: 0.4, washMinutes: 2 },
}

export const bayOf = ({ bay }: { bay?: Bay }): Bay => bay ?? bayBefore

/** The stance the car came in, and the one that most of the work wants. */
export const homeOf = (work: { bay?: Bay }): CarPosition => bayOf(work).stances[0].id
export const awayOf = (work: { bay?: Bay }): CarPosition => bayOf(work).stances[1].id

/** The way into the stance that a raising or lowering of the plan leads to. */
export function positionTo<P>(work: { bay?: Bay; positions: Record<CarPosition, P> }, kind: 'home' | 'away'): P {
  return work.positions[kind === 'home' ? homeOf(work) : awayOf(work)]!
}

/** A place by its id; one that the bay has not is called by its id. */
export const placeOf = (work: { bay?: Bay }, id: Place): BayPlace =>
  bayOf(work).places.find(place => place.id === id) ?? { id, letter: id.slice(0, 1).toUpperCase(), name: id }

export const stanceOf = (work: { bay?: Bay }, id: CarPosition): Stance =>
  bayOf(work).stances.find(stance => stance.id === id) ?? bayOf(work).stances[0]
