import type { Procedure } from '../pack/pack'
import { positionTo } from '../pack/bay'
import { minutesUnder } from './slower'
import { stepMinutes } from './step-minutes'
import { pertMean } from './three-point'
import type { PlannedStep, PlanSetting } from './types'

/**
 * Minutes by which a step is done at even odds, as far as one step can say: its planned minutes and what the mean of its estimate lies
 * above the likeliest. Added up over a job this comes to the middle of the finish times that are drawn.
 */
export function expectedMinutes(
  procedure: Procedure,
  step: PlannedStep,
  setting: Pick<PlanSetting, 'without' | 'skill'> = {},
): number {
  const operation = procedure.operations.find(entry => entry.id === step.id)
  const estimate = operation
    ? minutesUnder(procedure, operation, setting)
    : positionTo(procedure, step.kind === 'raise' ? 'away' : 'home').minutes
  return stepMinutes(step) + pertMean(estimate) - estimate[1]
}
