import type { CarDrawing } from '../pack/drawing'
import type { Place, When } from '../pack/kinds'
import type { Fact, Positioning, PlaceReached, RefitOverride } from '../pack/operations'
import type { OptionChoice, PackOption } from '../pack/options'
import type { Pack, PackModule, SharedContent } from '../pack/pack'
import type { LedgerItem, ToolWord } from '../pack/things'

/** What a module changes in the one it is made from. */
export interface Adjustments {
  /** Work at one place moves to another. */
  moves: Partial<Record<Place, Place>>
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

/** A layout as written, before its modules are put in. */
export interface LayoutSource extends Omit<
  Pack,
  keyof SharedContent | 'modules' | 'options' | 'positions' | 'reach' | 'items' | 'toolWords' | 'drawing'
> {
  /** The drawing of its family, by id. */
  drawing?: string
  /** What is usual on this layout: sheet → field → the rule of thumb taken where nothing is entered. */
  guides: Record<string, Record<string, number>>
  /** Choices that this layout leaves nobody. */
  fixed: Record<string, string>
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
export interface Shelf extends SharedContent {
  modules: Map<string, ModuleSource>
  renewals: RenewalSource[]
  options: PackOption[]
  positions: Positioning[]
  reach: PlaceReached[]
  items: LedgerItem[]
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
