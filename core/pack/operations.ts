import type { BodyWant } from './bodies'
import type { CarPosition, LinkKind, Phase, Place, ThreePoint, When } from './kinds'
import type { ReadingSpec } from './readings'
import type { JudgeKind } from './sheets'
import type { Cleanliness } from './surfaces'

/** A control that is left alone while a fact does not hold. */
export const guards = ['pedal', 'start', 'park'] as const
export type Guard = (typeof guards)[number]

/** A fact about the car that steps rely on. */
export interface Fact {
  id: string
  name: string
  /** Why a step that needs it must wait for it. */
  because: string
  kind: LinkKind
  /** True before the job starts. */
  initially: boolean
  /** The car stays at this height while the fact holds: nothing that wants the other height may fall in between. */
  carStays?: CarPosition
  /** A control that nobody may touch while the fact does not hold. */
  guards?: Guard
}

/** Where a place can be reached only with the car at one height. */
export interface PlaceReached {
  place: Place
  car: CarPosition
  when: When
}

/** Work with its own screen, counted act by act. */
export type Activity =
  | { kind: 'tighten'; group: string }
  /** By a way that the pack holds, or by pump and rest with counts of its own. */
  | { kind: 'bleed'; way?: string; strokesPerRound?: number; restMinutes?: number; deliveredShare?: number }
  /** Every gear of the car, or every position of its lever. */
  | { kind: 'gears'; engine: 'off' | 'running'; positions?: string[]; bad?: string }
  /** A sheet of the bench that has to come out well. */
  | { kind: 'judged'; sheet: string; judges: JudgeKind[] }
  /** What the controller has stored, read. */
  | { kind: 'read' }
  /** A routine that the controller runs through to learn something; `runs` is what a reader that speaks calls it. */
  | { kind: 'teach'; routine: string; runs?: string }
  /** Pieces and plugs of a body that stand as they have to. */
  | { kind: 'body'; body: string; wants: BodyWant }

/** How a step of the strip is undone in the refit. */
export type RefitRule =
  { kind: 'none' } | { kind: 'by'; operation: string } | { kind: 'mirror'; override: RefitOverride }

export interface RefitOverride extends Cleanliness {
  title: string
  phase?: Phase
  place?: Place
  car?: CarPosition | 'either'
  minutes?: ThreePoint
  hands?: 1 | 2
  tools?: string[]
  figure?: string
  readings?: ReadingSpec[]
  cautions?: string[]
  skill?: string
  aloneWay?: string
  needs?: string[]
  gives?: string[]
  ends?: string[]
  takesOff?: Record<string, number>
  activity?: Activity
  parts?: Record<string, number>
  dirt?: 'dirty' | 'clean'
  milestone?: string
  learned?: OperationSource['learned']
  leaves?: OperationSource['leaves']
  moreFigures?: OperationSource['moreFigures']
}

/** One piece of work, as written in a module. */
export interface OperationSource extends Cleanliness {
  id: string
  title: string
  phase: Phase
  place: Place
  car: CarPosition | 'either'
  minutes: ThreePoint
  hands: 1 | 2
  /** The way out for a mechanic who is alone. */
  aloneWay?: string
  tools: string[]
  needs: string[]
  gives: string[]
  ends: string[]
  takesOff: Record<string, number>
  putsBack: Record<string, number>
  figure?: string
  readings: ReadingSpec[]
  cautions: string[]
  skill?: string
  activity?: Activity
  /** Parts used up: part id → how many. */
  parts: Record<string, number>
  /** Work that makes hands dirty, or that wants them clean. */
  dirt?: 'dirty' | 'clean'
  /** What is reached when this is done, in two or three words. */
  milestone?: string
  /** How the bolts that it puts back are left, where it does not set them at their figure. */
  leaves?: 'started' | 'snug'
  /** No reason lets it be left undone when the car goes. */
  safety?: boolean
  /** The car is driven or heard: nothing has come off it before. */
  whole?: boolean
  /** Not done again when the same comes apart once more: marks, soaking, what had rusted fast. */
  once?: boolean
  /** Other groups that it sets at their figures besides. */
  moreFigures?: string[]
  /** Loads that have to hang by themselves while it is done: every prop of theirs is away. */
  settles?: string[]
  /** Where a garage's own times stand in `minutes`: what the pack said, and how many times were seen. */
  learned?: { from: ThreePoint; times: number }
  when: When
  refit: RefitRule
}

export interface LinkSource {
  before: string
  after: string
  kind: LinkKind
  because: string
  /** A pause that must pass in between: cure, cool, settle. */
  waitMinutes?: number
  /** Nothing may come in between. */
  atOnce?: boolean
  school?: string
  when: When
  /** Whether the refit keeps this reason the other way round, and with which words. */
  mirror: boolean
  mirrorBecause?: string
}

/** The step that brings the car up or down. */
export interface Positioning {
  to: CarPosition
  title: string
  minutes: ThreePoint
  tools: string[]
  cautions: string[]
  /** What stands under the car meanwhile; cleared when it comes down. */
  takesOff: Record<string, number>
  /** What work in this stance takes, against the estimates; 1 where it is left out. */
  workShare?: number
  when: When
}

/** One piece of work, for the options chosen. */
export interface Operation extends Omit<OperationSource, 'when' | 'refit'> {
  module: string
  /** The strip step that this one undoes. */
  undoes?: string
  /** The strip step that this one does once more, after it was undone. */
  again?: string
  /** Its minutes were told of this car, as it stands and by whoever does it: nothing makes them longer or shorter. */
  asTold?: true
}

export interface Link {
  before: string
  after: string
  kind: LinkKind
  because: string
  waitMinutes: number
  atOnce?: boolean
  school?: string
}
