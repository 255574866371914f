import type { BleedWay } from '../pack/bleeding'
import type { CauseTables } from '../pack/causes'
import type { ClosingCheck, RoadTask } from '../pack/closing'
import type { Control } from '../pack/control'
import type { CarDrawing } from '../pack/drawing'
import type { Place, When } from '../pack/kinds'
import type { BaySource } from '../pack/bay'
import type { Fact, RefitOverride } from '../pack/operations'
import type { OptionChoice, PackOption } from '../pack/options'
import type { Pack, PackModule, SharedContent } from '../pack/pack'
import type { BenchData, Mating } from '../pack/sheets'
import type { LedgerItem, ToolWord } from '../pack/things'

/** What a module changes in the one it is made from. */
export interface Adjustments {
  /** Work at one place moves to another. */
  moves: Record<Place, Place>
  /** By operation id; the refit of `x` is `x.refit`. */
  operations: Record<string, Partial<RefitOverride>>
  facts: Record<string, Partial<Pick<Fact, 'name' | 'because'>>>
  items: Record<string, Partial<Pick<LedgerItem, 'name' | 'goesTo'>>>
}

/** A module as written: whole, or made from another with changes and additions. */
export interface ModuleSource extends PackModule {
  from?: string
  adjust: Adjustments
}

/** What some layouts share and others have another of, each set by the name of its file. */
export interface Sets {
  mating: Map<string, Mating>
  closing: Map<string, ClosingCheck[]>
  roadTest: Map<string, RoadTask[]>
  bleeding: Map<string, BleedWay[]>
  causes: Map<string, CauseTables>
  control: Map<string, Control>
  bay: Map<string, BaySource>
}
export type SetKind = keyof Sets

/** The sets that a layout uses, by name. What it does not name it does not have. */
export interface SetsUsed {
  closing: string
  roadTest?: string
  mating?: string
  bleeding?: string
  /** None: it has a clutch pedal. */
  control?: string
  /** Where one stands at it and the ways it stands. */
  bay: string
  causes: string[]
}

/** A layout as written, before its modules are put in. */
export interface LayoutSource extends Omit<
  Pack,
  keyof SharedContent | 'modules' | 'options' | 'positions' | 'reach' | 'items' | 'toolWords' | 'drawing' | 'bay'
> {
  /** The drawing of its family, by id. */
  drawing?: string
  /** What is usual on this layout: sheet → field → the rule of thumb taken where nothing is entered. */
  guides: Record<string, Record<string, number>>
  uses: SetsUsed
  /** Choices that this layout leaves nobody. */
  fixed: Record<string, string>
  /** Option → the choice it stands on in this layout until somebody chooses. */
  defaults?: Record<string, string>
  /** Where it stands among the layouts, the lowest first. */
  rank: number
  modules: { id: string; when: When }[]
  options: (string | PackOption)[]
}

/** The choice of every part's option that puts no work in. */
export const LEFT = 'left'

/** The work that renews one part while it is open, as written. It bears the id of the part in reach. */
export interface RenewalSource extends PackModule {
  /** A plain sentence with … where the choice stands. */
  sentence: string
  /** What leaving it is called. */
  left: string
  /** How it is renewed; the first is the usual way. */
  ways: OptionChoice[]
  /** Choices of other options that renewing it goes with. */
  goesWith?: Record<string, string>
}

/** What all layouts share. */
export interface Shelf extends Pick<SharedContent, 'tools' | 'cautions' | 'outlines' | 'ladders'> {
  bench: Omit<BenchData, 'mating'>
  sets: Sets
  modules: Map<string, ModuleSource>
  renewals: RenewalSource[]
  options: PackOption[]
  toolWords: ToolWord[]
  drawings: CarDrawing[]
}

/** A layout that names something the shelf does not hold. */
export class AssemblyError extends Error {
  override name = 'AssemblyError'
  constructor(
    readonly path: string,
    readonly reason: string,
  ) {
    super(`${path}: ${reason}`)
  }
}
