import { scaleLinear } from 'd3-scale'
import type { ScaleLinear } from 'd3-scale'
import { closedSpans } from '../../core/sequence'
import type { Plan } from '../../core/sequence'

/** A night or a Sunday is drawn as wide as this many minutes of work. */
const CLOSED_WIDTH_MINUTES = 18

export interface PlanScale {
  x: ScaleLinear<number, number>
  /** Stretches in which nobody works. */
  closed: [from: number, to: number][]
}

/**
 * The time axis of a plan, closing times drawn short.
 * @param left, right where it begins and ends, in px
 * @param from the minute of the plan from which it follows the clock of the wall; before it, what is done lies end to end
 */
export function planScale(plan: Plan, left: number, right: number, from: number): PlanScale {
  const end = Math.max(1, plan.steps.at(-1)?.finishMinutes ?? 1)
  const { hours, startMinuteOfDay, startWeekday } = plan.setting
  const closed = hours ? closedSpans({ hours, startMinuteOfDay, startWeekday }, Math.min(from, end), end) : []
  const domain = [0]
  const drawn = [0]
  for (const [shuts, to] of closed) {
    const before = domain.at(-1)!
    if (shuts > before) {
      domain.push(shuts)
      drawn.push(drawn.at(-1)! + shuts - before)
    }
    domain.push(to)
    drawn.push(drawn.at(-1)! + CLOSED_WIDTH_MINUTES)
  }
  if (end > domain.at(-1)!) {
    drawn.push(drawn.at(-1)! + end - domain.at(-1)!)
    domain.push(end)
  }
  const perMinute = (right - left) / drawn.at(-1)!
  return {
    x: scaleLinear(
      domain,
      drawn.map(minutes => left + minutes * perMinute),
    ),
    closed,
  }
}

/** Minutes of the plan drawn from end to end, closing times counted short. */
export function drawnMinutes(plan: Plan, from: number): number {
  return planScale(plan, 0, 1, from).closed.reduce(
    (sum, [shuts, to]) => sum - (to - shuts) + CLOSED_WIDTH_MINUTES,
    plan.steps.at(-1)?.finishMinutes ?? 0,
  )
}
