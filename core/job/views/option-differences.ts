import { bayOf } from '../../pack/bay'
import type { Bay } from '../../pack/bay'
import { expandPack } from '../../packs/expand-pack'
import type { Pack, Procedure } from '../../pack/pack'
import type { Past } from '../../sequence/job-instance'
import { operationOrder } from '../../sequence/move-step'
import { planJob } from '../../sequence/plan-job'
import type { Plan, PlanSetting, PlanTotals, Trip } from '../../sequence/types'
import { switchBarrier } from '../chapters/plan/switch-barrier'
import { likelyMinutes } from './reach'
import { withChoice } from './renewing'
import type { JobStand } from '../chapters/plan/switch-barrier'

/** A plan in short, as it is shown while options are chosen. */
export interface PlanPreview {
  totals: PlanTotals
  authored: PlanTotals
  trips: Pick<Trip, 'place' | 'car' | 'minutes'>[]
  bay: Bay
  toolCount: number
  stepCount: number
  parts: Record<string, number>
}

/** What another choice would change. */
export interface Difference {
  minutes: number
  trips: number
  /** Parts wanted more (+) or less (−), by name. */
  parts: { name: string; count: number }[]
  /** Operations in the order found, so that what was shown is what is planned; `null` where the work alone was counted. */
  order: string[] | null
  /** Why it cannot be chosen any more. */
  barred: string | null
}

/** What is chosen, and how far the job is where it is under way. */
export interface Choosing {
  pack: Pack
  options: Record<string, string>
  setting: Partial<PlanSetting>
  past: Past | null
  stand: JobStand | null
}

interface Planned {
  procedure: Procedure
  plan: Plan
}

/** The choice that is made, planned through. */
export function planChoice({ pack, options, setting, past }: Omit<Choosing, 'stand'>): Planned {
  const procedure = expandPack(pack, options)
  const kept = past && pastWithin(past, procedure)
  return {
    procedure,
    plan: planJob(procedure, { ...setting, helper: procedure.hands === 2 }, kept ? { past: kept } : {}),
  }
}

/**
 * What every other choice of every option would change, one after the other: planned through, but for the parts that can be renewed, of which
 * there are many and whose work alone is counted.
 */
export function* optionDifferences(
  choosing: Choosing,
  current: Planned,
): Generator<{ optionId: string; choiceId: string; difference: Difference }> {
  const { pack, options, stand } = choosing
  const found = (optionId: string, choiceId: string, difference: Difference) => ({ optionId, choiceId, difference })
  for (const { id: optionId, choices, renews } of pack.options) {
    for (const { id: choiceId } of choices) {
      if (options[optionId] === choiceId) continue
      const chosen = withChoice(pack, options, optionId, choiceId)
      const work = expandPack(pack, chosen)
      const barred = stand && switchBarrier(stand, work)
      if (barred !== null) yield found(optionId, choiceId, { minutes: 0, trips: 0, parts: [], order: null, barred })
      else if (renews !== undefined) yield found(optionId, choiceId, workDifference(current.procedure, work))
      else yield found(optionId, choiceId, differenceOf(current, planChoice({ ...choosing, options: chosen })))
    }
  }
}

export function previewOf({ procedure, plan: { totals, authored, trips, tools } }: Planned): PlanPreview {
  return {
    totals,
    authored,
    bay: bayOf(procedure),
    trips: trips.map(({ place, car, minutes }) => ({ place, car, minutes })),
    toolCount: tools.length,
    stepCount: procedure.operations.length,
    parts: partCounts(procedure),
  }
}

/** Steps done that another procedure holds as well. */
export function pastWithin(past: Past, procedure: Procedure): Past {
  const known = new Set(procedure.operations.map(operation => operation.id))
  return { ...past, steps: past.steps.filter(step => step.kind !== 'operation' || known.has(step.id)) }
}

function partsMore(from: Procedure, to: Procedure): Difference['parts'] {
  const [before, after] = [partCounts(from), partCounts(to)]
  const names = new Map([...from.parts, ...to.parts].map(part => [part.id, part.name]))
  return [...names]
    .map(([id, name]) => ({ name, count: (after[id] ?? 0) - (before[id] ?? 0) }))
    .filter(part => part.count !== 0)
}

/** By the work alone, without its order. */
function workDifference(from: Procedure, to: Procedure): Difference {
  return {
    minutes: likelyMinutes(to) - likelyMinutes(from),
    trips: 0,
    parts: partsMore(from, to),
    order: null,
    barred: null,
  }
}

function differenceOf(from: Planned, to: Planned): Difference {
  return {
    minutes: to.plan.totals.minutes - from.plan.totals.minutes,
    trips: to.plan.trips.length - from.plan.trips.length,
    parts: partsMore(from.procedure, to.procedure),
    order: operationOrder(to.plan),
    barred: null,
  }
}

/** Part id → how many all steps use up. */
export function partCounts(procedure: Procedure): Record<string, number> {
  const parts: Record<string, number> = {}
  for (const operation of procedure.operations)
    for (const [id, count] of Object.entries(operation.parts)) parts[id] = (parts[id] ?? 0) + count
  return parts
}
