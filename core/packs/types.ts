import type { BleedWay } from './bleed-types'
import type { ClosingCheck, RoadTask } from './closing-types'
import type { CarDrawing } from './drawing-types'
import type { BenchData } from './sheet-types'

/** The arc of a job, in its order. */
export const phases = ['test', 'make-safe', 'strip', 'bench', 'refit', 'fill', 'prove'] as const
export type Phase = typeof phases[number]

/** Where the mechanic stands. Listed from top to bottom, always in this order. */
export const places = ['top', 'cab', 'wheels', 'under', 'bench'] as const
export type Place = typeof places[number]

export type CarPosition = 'ground' | 'raised'

export const linkKinds = ['physical', 'access', 'reaction', 'safety', 'clean', 'habit'] as const
/** Why one step comes before another. */
export type LinkKind = typeof linkKinds[number]

export const itemStates = ['off', 'open', 'unplugged', 'slack', 'propped'] as const
/** In what way a thing is not as it should leave the garage. */
export type ItemState = typeof itemStates[number]

/** Low, likely and high estimate, in minutes. */
export type ThreePoint = [low: number, likely: number, high: number]

/** Option ids with the choices under which a thing applies; all must hold. */
export type Choices = Record<string, string[]>
/** Under which choices a thing applies: any of the entries will do; an empty list applies always. */
export type When = Choices[]

export interface OptionChoice {
  id: string
  label: string
  about?: string
  /** Two where a second pair of hands is there all the time. */
  hands?: 1 | 2
}
/** A plain sentence with a choice inside. */
export interface PackOption {
  id: string
  sentence: string
  choices: OptionChoice[]
  default: string
  /** Trades people disagree here; a garage can set its own default. */
  school: boolean
}

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
  guards?: 'pedal'
}

/** Where a place can be reached only with the car at one height. */
export interface Reach { place: Place, car: CarPosition, when: When }

/** Parts that the drawings know how to draw. */
export const drawnParts = ['exhaust', 'propshaft', 'transfer-case', 'crossmember', 'subframe', 'wheels', 'battery', 'intake', 'starter', 'gearbox', 'shafts', 'undertray', 'clutch', 'flywheel', 'stands', 'lift', 'engine-support', 'box-jack'] as const
export type DrawnPart = typeof drawnParts[number]

/** A thing that can be in the ledger; `part` says which part of the drawing shows it. */
export interface LedgerItem {
  id: string
  name: string
  state: ItemState
  goesTo?: string
  part?: DrawnPart
  /** Used once: what goes back is new, and why. */
  singleUse?: string
  /** The fasteners it is, by their group: what is off is counted on their board. */
  group?: string
  /** Fasteners and clips that no book gives a figure for: tight by hand is tight. */
  hand?: boolean
  /** The part that goes in instead of it where the plan uses one; the old one stays with the old parts. */
  newPart?: string
  /** No reason lets it be left as it is when the car goes: wheels, brakes, steering. */
  safety?: boolean
}

/** `drive` is the square that a tool turns with, `drives` the one that an extension or a joint passes on, in inches. */
export interface Tool { id: string, name: string, size?: string, drive?: string, drives?: string }

/** A word in the text of a step that speaks of a tool, and the tools of which the step then names one. */
export interface ToolWord { word: string, tools: string[] }
/** Drawings Eldrin has for what can hurt. */
export const cautionSigns = ['under', 'heavy', 'dust', 'fire', 'fluid', 'spring', 'eye', 'current', 'moving', 'hot'] as const
export type CautionSign = typeof cautionSigns[number]

/** A serious one is read once in a job before its first step is done. */
export interface Caution { id: string, title: string, text: string, serious: boolean, sign: CautionSign }

/** Something to be bought or fetched before the job. */
export interface Part { id: string, name: string, about?: string }

/**
 * The outline of a part that bolts hold, in mm about its middle, +y up, as seen from the side of the gearbox:
 * a closed line through points, drawn round where `smooth`, or a circle.
 */
export interface Outline {
  id: string
  name: string
  points?: [x: number, y: number][]
  smooth?: boolean
  circleMm?: number
  marks: { name: string, x: number, y: number, radiusMm: number }[]
}

/** Where a bolt of a group typically is. */
export interface BoltPlace {
  id: string
  x: number
  y: number
  /** The step that takes it out; the step that undoes that one puts it back. */
  offWith?: string
  /** The side it goes in from. */
  from?: 'box' | 'engine'
  /** What else it holds. */
  holds?: string
}

/** The typical map of a group's bolts. */
export interface BoltMap {
  outline: string
  /** Every bolt is out before this step. */
  clearFor?: string
  places: BoltPlace[]
}

/** Fasteners that share a figure. */
export interface FastenerGroup {
  id: string
  name: string
  count: number
  part: 'vehicle' | 'kit'
  treatment?: string
  board?: BoltMap
  /** Somebody drives on it: it is set at a figure with its source, or a person answers for it by name. */
  safety?: boolean
  /** Where figures for fasteners of this kind usually lie, in N·m; one far outside is questioned. Common practice, no source. */
  usualNm?: [low: number, high: number]
}

/** A way out of a trouble, rung by rung: the gentlest first. */
export interface LadderRung {
  id: string
  title: string
  text: string
  /** After so many minutes without success the next rung is due. */
  minutes?: number
  tools: string[]
  parts: string[]
  /** What may be ruined by it, who may be hurt, what it costs. */
  risk?: string
  hurts?: string
  cost?: string
  /** Heat or sparks: every precaution is ticked before it begins. */
  hot?: boolean
  precautions?: string[]
  /** The job waits for somebody else. */
  waits?: boolean
  /** The bolt board is counted here; the gap round the bell is measured here. */
  board?: boolean
  gap?: boolean
}
export interface Ladder {
  id: string
  title: string
  /** What went on a bolt board that leads here: sheared, stripped, rounded. */
  when: string[]
  /** It is about one bolt or one thing of several: which one is asked. */
  asks?: string
  /** Steps at which it is likely; `everywhere` offers it at any. */
  steps: string[]
  everywhere: boolean
  cautions: string[]
  rungs: LadderRung[]
}

/**
 * What an answer that is not good brings about. It is dealt with where one of these is done; else the step waits
 * until a person answers for it with a reason.
 */
export interface BadAnswer {
  because: string
  /** Choices of the job that deal with it. */
  options?: Choices
  /** Parts in reach whose renewal deals with it. */
  renews?: string[]
  /** The ladder that leads out of it. */
  ladder?: string
  /** The sheet where it is measured and weighed. */
  sheet?: string
}

export type ReadingSpec =
  | { id: string, name: string, kind: 'number', unit: string, required: boolean, low?: number, high?: number, about?: string }
  | {
    id: string, name: string, kind: 'choice', choices: string[], required: boolean, about?: string
    /** Answers with which the step is not done, whoever answers for it. */
    stops?: string[]
    /** Answers that are not good, with what follows from each. */
    bad?: Record<string, BadAnswer>
    /** Answers that are noted and watched, and ask for nothing. */
    watch?: string[]
  }

/** Work with its own screen, counted act by act. */
export type Activity =
  | { kind: 'tighten', group: string }
  /** By a way that the pack holds, or by pump and rest with counts of its own. */
  | { kind: 'bleed', way?: string, strokesPerRound?: number, restMinutes?: number, deliveredShare?: number }
  | { kind: 'gears', engine: 'off' | 'running' }

/** How a step of the strip is undone in the refit. */
export type RefitRule =
  | { kind: 'none' }
  | { kind: 'by', operation: string }
  | { kind: 'mirror', override: RefitOverride }

export interface RefitOverride {
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
export interface OperationSource {
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
  /** Other groups that it sets at their figures besides. */
  moreFigures?: string[]
  /** Where a garage's own times stand in `minutes`: what the pack said, and how many times were seen. */
  learned?: { from: ThreePoint, times: number }
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

/** A reusable bundle of operations. */
export interface PackModule {
  id: string
  title: string
  items: LedgerItem[]
  facts: Fact[]
  groups: FastenerGroup[]
  parts: Part[]
  /** Choices that hold where a layout says nothing of them; settled when a pack is put together. */
  assumes: Record<string, string>
  operations: OperationSource[]
  links: LinkSource[]
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
  when: When
}

/** A layout with everything it uses: enough to expand without reading anything else. */
export interface Pack {
  id: string
  title: string
  version: number
  about: string
  options: PackOption[]
  positions: Positioning[]
  reach: Reach[]
  items: LedgerItem[]
  modules: PackModule[]
  links: LinkSource[]
  tools: Tool[]
  toolWords?: ToolWord[]
  cautions: Caution[]
  outlines: Outline[]
  ladders: Ladder[]
  bench: BenchData
  bleeding: BleedWay[]
  closing: ClosingCheck[]
  roadTest: RoadTask[]
  drawing?: CarDrawing
}

/** One piece of work, for the options chosen. */
export interface Operation extends Omit<OperationSource, 'when' | 'refit'> {
  module: string
  /** The strip step that this one undoes. */
  undoes?: string
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

/** The whole work for one car: strip, bench, refit, fill and prove. */
export interface Procedure {
  packId: string
  packVersion: number
  title: string
  options: Record<string, string>
  /** How many people are there all the time. */
  hands: 1 | 2
  /** In the order a person would write them down, which respects every link. */
  operations: Operation[]
  links: Link[]
  items: LedgerItem[]
  positions: Record<CarPosition, Omit<Positioning, 'when'>>
  facts: Fact[]
  groups: FastenerGroup[]
  parts: Part[]
  tools: Tool[]
  cautions: Caution[]
  outlines: Outline[]
  ladders: Ladder[]
  bench: BenchData
  /** Ways of bleeding, where something is bled; a plan of long ago has none. */
  bleeding?: BleedWay[]
  closing?: ClosingCheck[]
  roadTest?: RoadTask[]
  drawing?: CarDrawing
}
