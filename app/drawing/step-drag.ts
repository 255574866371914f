import { operationOrder } from '../../core/sequence'
import type { LegalRange, Plan } from '../../core/sequence'

/** Where a minute of the plan stands in the picture, in px. */
type X = (minutes: number) => number

const othersThan = (plan: Plan, stepId: string) => operationOrder(plan).filter(id => id !== stepId)
const stepsOf = (plan: Plan) => new Map(plan.steps.map(step => [step.id, step]))

/** The stretch of the picture that a step may be dragged to, in px: from the last that must come before it to the first that must come after. */
export function legalBand(plan: Plan, stepId: string, { first, last }: LegalRange, x: X): { from: number; to: number } {
  const others = othersThan(plan, stepId)
  const steps = stepsOf(plan)
  const from = first > 0 ? x(steps.get(others[first - 1]!)!.finishMinutes) : x(0)
  const to = last < others.length ? x(steps.get(others[last]!)!.startMinutes) : x(plan.steps.at(-1)!.finishMinutes)
  return { from, to: Math.max(to, from + 3) }
}

/** The place among the operations that a pointer at `px` stands for: behind every step whose middle it has passed; its own while it is on it. */
export function placeAt(plan: Plan, stepId: string, px: number, x: X): number {
  const steps = stepsOf(plan)
  const own = steps.get(stepId)!
  if (px >= x(own.startMinutes) && px <= x(own.finishMinutes)) return operationOrder(plan).indexOf(stepId)
  return othersThan(plan, stepId).filter(id => {
    const step = steps.get(id)!
    return (x(step.startMinutes) + x(step.finishMinutes)) / 2 < px
  }).length
}
