import type { Procedure } from '../pack/pack'
import { stepMinutes } from './step-minutes'
import { pertMean } from './three-point'
import type { PlannedStep } from './types'

/**
 * Minutes by which a step is done at even odds, as far as one step can say: its planned minutes and what the mean of its estimate lies
 * above the likeliest. Added up over a job this comes to the middle of the finish times that are drawn.
 */
export function expectedMinutes(procedure: Procedure, step: PlannedStep): number {
  const operation = procedure.operations.find(entry => entry.id === step.id)
  const estimate = operation?.minutes ?? procedure.positions[step.kind === 'raise' ? 'raised' : 'ground'].minutes
  return stepMinutes(step) + pertMean(estimate) - estimate[1]
}
