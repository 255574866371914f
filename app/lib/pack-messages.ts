import type { PackProblem } from '../../contracts/read-pack'
import type { TermTable } from '../../core/packs'
import type { PlanPreview } from './planner-messages'

/** A text to be checked in the worker, and what it found. */
export interface PackAsk { ask: number, yaml: string, terms: TermTable }

export interface PackAnswer {
  ask: number
  problems: PackProblem[]
  /** The plan that the default options make; `null` while something is wrong. */
  preview: PlanPreview | null
  id: string | null
  linkCount: number
}
