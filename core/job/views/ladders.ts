import type { Ladder, LadderRung } from '../../pack/ladders'
import type { JobState } from '../chapters'
import type { LadderRun, RungTry } from '../chapters/troubles/ladders'

export function ladderOf(state: JobState, ladderId: string): Ladder | null {
  return state.procedure?.ladders.find(ladder => ladder.id === ladderId) ?? null
}

/** The rung being tried, or the next to try; `null` when there is none left, or when somebody stopped. */
export function currentRung(
  state: JobState,
  run: LadderRun,
): { rung: LadderRung; try: RungTry | null; place: number } | null {
  const ladder = ladderOf(state, run.ladderId)
  if (!ladder || run.closedAt || run.left || run.tries.some(entry => entry.outcome === 'stopped')) return null
  const open = run.tries.find(entry => entry.endedAt === null)
  const tried = new Set(run.tries.map(entry => entry.rungId))
  const rung = open
    ? ladder.rungs.find(entry => entry.id === open.rungId)
    : ladder.rungs.find(entry => !tried.has(entry.id))
  return rung ? { rung, try: open ?? null, place: ladder.rungs.indexOf(rung) } : null
}

/** Whether a ladder has not helped, and nobody has said yet what follows. */
export function ladderSpent(state: JobState, run: LadderRun): boolean {
  return run.closedAt === null && run.left === null && currentRung(state, run) === null
}

/** Ladders in the order they are offered at a step: those made for it, then those for anywhere, then the rest. */
export function laddersAt(state: JobState, stepId: string | null): Ladder[] {
  const rank = (ladder: Ladder) => (stepId !== null && ladder.steps.includes(stepId) ? 0 : ladder.everywhere ? 1 : 2)
  return [...(state.procedure?.ladders ?? [])].sort((a, b) => rank(a) - rank(b))
}

/** Minutes that open ladders still ask for: the limit of the rung each stands at, or the work that follows from one that did not help. */
export function ladderMinutes(state: JobState): number {
  return state.ladderRuns.reduce(
    (sum, run) => sum + (run.closedAt ? 0 : (run.left?.minutes ?? currentRung(state, run)?.rung.minutes ?? 0)),
    0,
  )
}
