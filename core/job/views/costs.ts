import { phases } from '../../pack/kinds'
import type { Phase } from '../../pack/kinds'
import { stepMinutes } from '../../sequence/step-minutes'
import type { JobState } from '../chapters'
import type { Rates } from './rates'
import type { ObservedMinutes } from './observed-minutes'
import { partsList } from './parts-list'
import { withMargin } from './part-price'
import { priceFactor } from './price-factor'

export interface PartCost {
  name: string
  count: number
  /** What one costs the customer; `null` where nobody priced it. */ each: number | null
  total: number | null
}

/** Minutes of a phase: as asked for, with walking, lifting and tools, and as measured; `measured` is `null` where nothing of it was. */
export interface PhaseMinutes {
  phase: Phase
  estimated: number
  measured: number | null
  /** What was planned for the pieces of work that were measured, and how many of how many those are. */
  measuredEstimate: number
  measuredSteps: number
  steps: number
}

export interface JobCosts {
  byPhase: PhaseMinutes[]
  estimatedMinutes: number
  /** Minutes that were measured, and what was planned for that same work. Only these are told as worked. */
  measuredMinutes: number
  measuredEstimate: number
  measuredSteps: number
  steps: number
  labour: number
  parts: PartCost[]
  partsTotal: number
  unpriced: string[]
  callOut: number
  tax: number
  total: number
}

/** What a job costs by its plan, what of it was measured, each part with the garage's margin. */
export function jobCosts(state: JobState, rates: Rates, observed: ObservedMinutes[]): JobCosts {
  const operations = new Map((state.procedure?.operations ?? []).map(operation => [operation.id, operation]))
  const steps = state.plan?.steps ?? []
  const seen = new Map(observed.map(entry => [entry.operationId, entry.minutes]))
  const phaseOf = (id: string): Phase => operations.get(id)?.phase ?? 'make-safe'
  const factor =
    rates.priceShare && state.procedure && state.plan ? priceFactor(state.procedure, state.plan, rates.priceShare) : 1
  const byPhase = phases
    .map((phase): PhaseMinutes => {
      const own = steps.filter(step => phaseOf(step.id) === phase)
      const timed = own.filter(step => seen.has(step.id))
      return {
        phase,
        estimated: sum(own.map(step => stepMinutes(step) + step.setupMinutes)) * factor,
        measuredEstimate: sum(timed.map(step => stepMinutes(step))),
        measured: timed.length === 0 ? null : sum(timed.map(step => seen.get(step.id)!)),
        measuredSteps: timed.length,
        steps: own.filter(step => operations.has(step.id)).length,
      }
    })
    .filter(entry => entry.estimated > 0)
  const estimatedMinutes = sum(byPhase.map(entry => entry.estimated))
  const parts = partCosts(state, rates)
  const partsTotal = sum(parts.map(part => part.total ?? 0))
  const labourOf = (minutes: number) => (minutes / 60) * rates.labourPerHour
  const withTax = (net: number) => net * (1 + rates.taxPercent / 100)
  const net = labourOf(estimatedMinutes) + partsTotal + rates.callOut
  return {
    byPhase,
    estimatedMinutes,
    measuredMinutes: sum(byPhase.map(entry => entry.measured ?? 0)),
    measuredEstimate: sum(byPhase.map(entry => entry.measuredEstimate)),
    measuredSteps: sum(byPhase.map(entry => entry.measuredSteps)),
    steps: sum(byPhase.map(entry => entry.steps)),
    labour: labourOf(estimatedMinutes),
    parts,
    partsTotal,
    unpriced: parts.filter(part => part.each === null).map(part => part.name),
    callOut: rates.callOut,
    tax: withTax(net) - net,
    total: withTax(net),
  }
}

function partCosts(state: JobState, rates: Rates): PartCost[] {
  return partsList(state).map(({ name, count, priceEach }) => {
    const each = priceEach === null ? null : withMargin(priceEach, rates)
    return { name, count, each, total: each === null ? null : each * count }
  })
}

const sum = (values: number[]) => values.reduce((total, value) => total + value, 0)
