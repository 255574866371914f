import type { Procedure } from '../../pack/pack'
import { positionTo } from '../../pack/bay'
import type { Plan } from '../../sequence/types'

/** What a step of a plan is called; bringing the car up or down by the position it leads to. */
export function stepTitle(procedure: Procedure, plan: Pick<Plan, 'steps'>, stepId: string): string {
  const operation = procedure.operations.find(entry => entry.id === stepId)
  if (operation) return operation.title
  const kind = plan.steps.find(step => step.id === stepId)?.kind
  return positionTo(procedure, kind === 'raise' ? 'away' : 'home').title
}
