import type { BleedWay } from './bleeding'
import type { Body } from './bodies'
import type { Symptom } from './causes'
import type { ClosingCheck, RoadTask } from './closing'
import type { Control } from './control'
import type { CarDrawing } from './drawing'
import type { FastenerGroup, Outline } from './fasteners'
import type { CarPosition } from './kinds'
import type { Ladder } from './ladders'
import type { Load } from './loads'
import type { Surface } from './surfaces'
import type { Fact, Link, LinkSource, Operation, OperationSource, Positioning, PlaceReached } from './operations'
import type { PackOption } from './options'
import type { Pace } from './pace'
import type { Bay } from './bay'
import type { BenchData } from './sheets'
import type { Caution, LedgerItem, Part, Tool, ToolWord } from './things'

/** What layouts share and a job carries along: each holds as much of it as it has a use for. */
export interface SharedContent {
  tools: Tool[]
  cautions: Caution[]
  outlines: Outline[]
  ladders: Ladder[]
  bench: BenchData
  /** Ways of bleeding, where something is bled. */
  bleeding: BleedWay[]
  closing: ClosingCheck[]
  roadTest: RoadTask[]
  /** Tables of causes that speak of such a car, by id; where none is named, any may. */
  causes?: string[]
  /** What such a car can do, as its owner tells it. */
  symptoms?: Symptom[]
  /** What the driver works it with, where that is no clutch pedal. */
  control?: Control
}

/** A reusable bundle of operations. */
export interface PackModule {
  id: string
  title: string
  items: LedgerItem[]
  facts: Fact[]
  groups: FastenerGroup[]
  parts: Part[]
  /** Bodies with loose pieces in them. */
  bodies?: Body[]
  /** What falls when it is let go. */
  loads?: Load[]
  /** What some step wants clean. */
  surfaces?: Surface[]
  /** Choices that hold where a layout says nothing of them; settled when a pack is put together. */
  assumes: Record<string, string>
  operations: OperationSource[]
  links: LinkSource[]
}

/** A layout with everything it uses: enough to expand without reading anything else. */
export interface Pack extends SharedContent {
  id: string
  title: string
  version: number
  about: string
  /** What kinds of cars it stands with in a list. */
  family?: string
  options: PackOption[]
  positions: Positioning[]
  reach: PlaceReached[]
  items: LedgerItem[]
  modules: PackModule[]
  links: LinkSource[]
  toolWords?: ToolWord[]
  drawing?: CarDrawing
  /** Where one stands at it; a pack of before has the places of a car. */
  bay?: Bay
  /** How long a garage's own jobs took beside what layouts say, where it has any. */
  pace?: Pace
}

/** The whole work for one car: strip, bench, refit, fill and prove. */
export interface Procedure extends SharedContent {
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
  bodies?: Body[]
  /** A job of before does not say. */
  loads?: Load[]
  /** A job of before does not say. */
  surfaces?: Surface[]
  drawing?: CarDrawing
  /** A job of before does not say. */
  bay?: Bay
  /** How long the garage's own jobs took beside what layouts say, as it was known when the work was put together. */
  pace?: Pace
}
