import type { Plan } from '../../core/sequence'

/** The line that the car stands on through a plan, as an SVG path: `low` on the ground, `high` where it is raised, both in px. */
export function groundLine(plan: Plan, x: (minutes: number) => number, low: number, high: number): string {
  let level = low
  let path = `M${x(0)} ${low}`
  for (const step of plan.steps) {
    if (step.kind === 'operation') continue
    const to = step.kind === 'raise' ? high : low
    path += `L${x(step.startMinutes)} ${level}L${x(step.finishMinutes)} ${to}`
    level = to
  }
  return `${path}L${x(plan.steps.at(-1)?.finishMinutes ?? 0)} ${level}`
}
