import type { Procedure } from '../packs/types'
import { greedyOrder } from './greedy-order'
import { improveOrder } from './improve-order'
import { buildNetwork } from './network'
import type { Network } from './network'
import { timetable } from './timetable'
import { groupTrips } from './trips'
import type { Plan, PlanSetting, PlannedStep, PlanTotals } from './types'

/** Walking and tool minutes: common practice, no source. */
export const defaultSetting: PlanSetting = {
  walkMinutes: 1.5,
  toolMinutes: 0.4,
  start: { place: 'top', car: 'ground' },
  helper: false,
}

const MOVES = 30_000

/**
 * Plans the work on one car for one mechanic: an order that respects every link and keeps walking,
 * raising and lowering, tool changes and idle waits low.
 *
 * Not proven shortest: a greedy order, improved by moving pieces of it.
 * @param procedure the work, from `expandPack`
 * @param setting the circumstances; what is left out takes the default
 * @returns times in minutes from the start of the job; an empty procedure gives an empty plan
 * @throws RangeError on a negative or non-finite time in the setting
 */
export function planJob(procedure: Procedure, setting: Partial<PlanSetting> = {}): Plan {
  const full = { ...defaultSetting, ...setting }
  for (const key of ['walkMinutes', 'toolMinutes'] as const) {
    if (!Number.isFinite(full[key]) || full[key] < 0) throw new RangeError(`setting.${key} is a number of minutes from 0 up, not ${full[key]}`)
  }
  const network = buildNetwork(procedure, full)
  const authored = procedure.operations.map((_, index) => index)
  const candidates = [greedyOrder(network), authored].map(order => improveOrder(network, order, MOVES))
  const timetables = candidates.map(order => timetable(network, procedure.links, order))
  const steps = timetables.reduce((best, other) => finish(other) < finish(best) - 1e-9 ? other : best)
  return {
    order: steps.map(step => step.id),
    steps,
    trips: groupTrips(steps, procedure),
    totals: totalsOf(steps),
    authored: totalsOf(timetable(network, procedure.links, authored)),
    tools: toolsInOrder(steps, network, procedure),
  }
}

function finish(steps: PlannedStep[]): number {
  return steps.at(-1)?.finishMinutes ?? 0
}

function totalsOf(steps: PlannedStep[]): PlanTotals {
  const sum = (of: (step: PlannedStep) => number) => steps.reduce((total, step) => total + of(step), 0)
  const moves = steps.filter(step => step.kind !== 'operation')
  const moveMinutes = moves.reduce((total, step) => total + step.finishMinutes - step.startMinutes, 0)
  return {
    minutes: finish(steps),
    workMinutes: sum(step => step.finishMinutes - step.startMinutes) - moveMinutes,
    setupMinutes: sum(step => step.setupMinutes) + moveMinutes,
    waitMinutes: sum(step => step.waitMinutes),
    placeChanges: steps.filter((step, index) => index > 0 && step.place !== steps[index - 1]!.place).length,
    timesRaised: moves.filter(step => step.kind === 'raise').length,
  }
}

function toolsInOrder(steps: PlannedStep[], network: Network, procedure: Procedure): string[] {
  const byId = new Map(network.operations.map(operation => [operation.id, operation.tools]))
  const tools = steps.flatMap(step => step.kind === 'operation'
    ? byId.get(step.id)!
    : procedure.positions[step.kind === 'raise' ? 'raised' : 'ground'].tools)
  return [...new Set(tools)]
}

