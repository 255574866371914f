import type { FastenerGroup } from '../../pack/fasteners'
import { placeOf, positionTo, stanceOf } from '../../pack/bay'
import type { BayPlace, Stance } from '../../pack/bay'
import type { Operation } from '../../pack/operations'
import type { Caution, LedgerItem, Tool } from '../../pack/things'
import type { PlannedStep, Trip } from '../../sequence/types'
import type { JobState } from '../chapters'

/** A step with everything needed to show it. */
export interface StepView {
  id: string
  title: string
  planned: PlannedStep
  /** Where it is done, and how the car stands meanwhile. */
  at: BayPlace
  stance: Stance
  operation: Operation | null
  trip: Trip
  /** Place of the step in its trip, from 1. */
  stepInTrip: number
  tools: Tool[]
  cautions: Caution[]
  takesOff: { item: LedgerItem; count: number }[]
  putsBack: { item: LedgerItem; count: number }[]
  group: FastenerGroup | null
  done: boolean
}

/** A step of the plan by its id, or `null` when the plan does not hold it. */
export function stepView(state: JobState, stepId: string): StepView | null {
  const { procedure, plan } = state
  const planned = plan?.steps.find(step => step.id === stepId)
  if (!procedure || !plan || !planned) return null
  const operation = procedure.operations.find(entry => entry.id === stepId) ?? null
  const trip = plan.trips.find(entry => entry.stepIds.includes(stepId))!
  const position = positionTo(procedure, planned.kind === 'lower' ? 'home' : 'away')
  const source = operation ?? position
  const items = (counts: Record<string, number>) =>
    Object.entries(counts).map(([id, count]) => ({ item: procedure.items.find(item => item.id === id)!, count }))
  const groupId = operation?.activity?.kind === 'tighten' ? operation.activity.group : operation?.figure
  const cleared = planned.kind === 'lower' ? positionTo(procedure, 'away').takesOff : {}
  return {
    id: stepId,
    title: source.title,
    planned,
    at: placeOf(procedure, planned.place),
    stance: stanceOf(procedure, planned.car),
    operation,
    trip,
    stepInTrip: trip.stepIds.indexOf(stepId) + 1,
    tools: source.tools.map(id => procedure.tools.find(tool => tool.id === id)!),
    cautions: source.cautions.map(id => procedure.cautions.find(caution => caution.id === id)!),
    takesOff: items(source.takesOff),
    putsBack: items(operation?.putsBack ?? cleared),
    group: procedure.groups.find(group => group.id === groupId) ?? null,
    done: stepId in state.done,
  }
}

/** Ids of the steps not yet done, in the order of the plan. */
export function stepsLeft(state: JobState): string[] {
  return state.plan?.order.filter(id => !state.done[id]) ?? []
}

/** The step to do next, or `null` when all are done or there is no plan. */
export function nextStep(state: JobState): StepView | null {
  const id = stepsLeft(state)[0]
  return id === undefined ? null : stepView(state, id)
}
