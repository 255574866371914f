import { stepMinutes } from './step-minutes'
import type { PlannedStep, PlanTotals } from './types'

/** What a list of planned steps adds up to. */
export function totalsOf(steps: PlannedStep[]): PlanTotals {
  const sum = (of: (step: PlannedStep) => number) => steps.reduce((total, step) => total + of(step), 0)
  const closed = sum(step => step.closedMinutes ?? 0)
  const moves = steps.filter(step => step.kind !== 'operation')
  const finish = steps.at(-1)?.finishMinutes ?? 0
  const setup = sum(step => step.setupMinutes)
  const wait = sum(step => step.waitMinutes)
  const moving = moves.reduce((total, step) => total + stepMinutes(step), 0)
  return {
    minutes: finish - closed,
    workMinutes: finish - closed - setup - wait - moving,
    setupMinutes: setup + moving,
    waitMinutes: wait,
    closedMinutes: closed,
    placeChanges: steps.filter((step, index) => index > 0 && step.place !== steps[index - 1]!.place).length,
    timesRaised: moves.filter(step => step.kind === 'raise').length,
  }
}
