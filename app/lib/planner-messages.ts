import type { JobStand } from '../../core/job'
import type { Pack, Procedure } from '../../core/packs'
import type { Calendar, Past, Plan, PlanSetting, PlanTotals, TimedStep, Trip } from '../../core/sequence'

/** A plan in short, as it is shown while options are chosen. */
export interface PlanPreview {
  totals: PlanTotals
  authored: PlanTotals
  trips: Pick<Trip, 'place' | 'car' | 'minutes'>[]
  toolCount: number
  stepCount: number
  parts: Record<string, number>
}

/** What another choice would change. */
export interface Difference {
  minutes: number
  trips: number
  /** Parts wanted more (+) or less (−), by name. */
  parts: { name: string, count: number }[]
  /** Operations in the order found, so that what was shown is what is planned. */
  order: string[]
  /** Why it cannot be chosen any more. */
  barred: string | null
}

/** One choice of an option planned through. */
export interface PlannedWay {
  choice: string
  /** Minutes of the wall clock from now to the finish, and minutes of work with walking and tools. */
  finishMinutes: number
  labourMinutes: number
  /** Operations in the order found. */
  order: string[]
  barred: string | null
}

/** What it takes to renew a part now, and to come back for it. */
export interface Reach {
  minutesNow: number
  minutesLater: number
  /** Steps that would have to be done again, in their order. */
  steps: string[]
}

/** What is asked of the planner's worker. `ask` tells late answers from current ones. */
export type PlannerAsk =
  | { ask: number, kind: 'options', pack: Pack, options: Record<string, string>, setting: Partial<PlanSetting>, past: Past | null, stand: JobStand | null }
  | { ask: number, kind: 'plan', procedure: Procedure, setting: Partial<PlanSetting>, past: Past | null }
  | { ask: number, kind: 'ways', pack: Pack, options: Record<string, string>, option: string, ways: { choice: string, arrivals: { partId: string, atMinutes: number }[] }[], setting: Partial<PlanSetting>, past: Past | null, stand: JobStand }
  | { ask: number, kind: 'reach', pack: Pack | null, procedure: Procedure }
  | { ask: number, kind: 'finish', steps: TimedStep[], calendar: Calendar | null }

export type PlannerAnswer =
  | { ask: number, kind: 'chosen', preview: PlanPreview }
  | { ask: number, kind: 'difference', optionId: string, choiceId: string, difference: Difference }
  | { ask: number, kind: 'way', way: PlannedWay }
  | { ask: number, kind: 'reach', reach: Record<string, Reach> }
  | { ask: number, kind: 'progress', share: number, minutes: number }
  | { ask: number, kind: 'planned', plan: Plan }
  | { ask: number, kind: 'finish', times: Float64Array }
  | { ask: number, kind: 'failed', reason: string }
