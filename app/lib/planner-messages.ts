import type { Pack } from '../../core/packs'
import type { PlanTotals, Trip } from '../../core/sequence'

/** What is asked of the planner's worker, and what it answers. `ask` tells late answers from current ones. */
export interface PlannerAsk { ask: number, pack: Pack, options: Record<string, string> }

export interface PlanPreview {
  totals: PlanTotals
  authored: PlanTotals
  trips: Pick<Trip, 'place' | 'car' | 'minutes'>[]
  toolCount: number
  stepCount: number
}

export type PlannerAnswer =
  | { ask: number, kind: 'chosen', preview: PlanPreview }
  | { ask: number, kind: 'difference', optionId: string, choiceId: string, minutes: number }
