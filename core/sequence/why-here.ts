import type { LinkKind } from '../pack/kinds'
import type { Procedure } from '../pack/pack'
import type { Plan } from './types'

/** One link as seen from a step: the other step and the sentence. */
export interface Reason {
  stepId: string
  title: string
  kind: LinkKind
  because: string
  waitMinutes: number
}

/** Why a step stands where it stands. */
export interface Why {
  /** Must be done before; the one that comes last in the plan first, since it is the one that holds this step back. */
  after: Reason[]
  /** May only be done after this step; the soonest first. */
  before: Reason[]
  /** Why here among the places it could stand: the stay it shares, or that nothing held it back. */
  placement: string
}

/**
 * Answers "why here?" for a step of a plan, from its links and its trip.
 * @returns `null` when the plan does not hold the step
 */
export function whyHere(procedure: Procedure, plan: Plan, stepId: string): Why | null {
  const position = new Map(plan.order.map((id, index) => [id, index]))
  const titles = new Map(procedure.operations.map(operation => [operation.id, operation.title]))
  if (!position.has(stepId)) return null
  const reason = (other: string, link: Procedure['links'][number]): Reason => ({
    stepId: other,
    title: titles.get(other) ?? other,
    kind: link.kind,
    because: link.because,
    waitMinutes: link.waitMinutes,
  })

  const after = procedure.links
    .filter(link => link.after === stepId)
    .map(link => reason(link.before, link))
    .sort((a, b) => position.get(b.stepId)! - position.get(a.stepId)!)
  const before = procedure.links
    .filter(link => link.before === stepId)
    .map(link => reason(link.after, link))
    .sort((a, b) => position.get(a.stepId)! - position.get(b.stepId)!)
  return { after, before, placement: placementOf(plan, stepId, after) }
}

function placementOf(plan: Plan, stepId: string, after: Reason[]): string {
  const step = plan.steps.find(entry => entry.id === stepId)!
  if (step.kind !== 'operation') {
    return step.kind === 'raise'
      ? 'The steps that follow are done with the car up.'
      : 'The steps that follow are done with the car on the ground.'
  }
  const trip = plan.trips.find(entry => entry.stepIds.includes(stepId))!
  const others = trip.stepIds.length - 1
  if (step.waitBecause) return `It starts after a wait of ${Math.round(step.waitMinutes)} min. ${step.waitBecause}`
  if (others === 0)
    return after.length > 0
      ? 'It is the only thing to do here at this moment, and the steps after it wait for it.'
      : 'Nothing has to come before it.'
  return `It shares one stay with ${others} other ${others === 1 ? 'step' : 'steps'} at the same place, which saves walking back for it.`
}
