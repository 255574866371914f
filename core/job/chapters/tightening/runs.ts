import { figureInForce, samplesOf } from '../../../fasteners'
import type { TighteningSample } from '../../../fasteners'
import type { JobState } from '../../chapters'
import type { NamedFigure } from '../bolts'
import type { RunStop, TighteningRun } from '.'

/** The figure of a group that counts on this job, and those of other sources that disagree. */
export function jobFigure(state: JobState, groupId: string): { figure: NamedFigure; others: NamedFigure[] } | null {
  const group = state.procedure?.groups.find(entry => entry.id === groupId)
  return figureInForce(state.figures[groupId] ?? [], group?.part ?? 'vehicle')
}

/** A run that was begun and not given up, or `null`. */
export function openRun(state: JobState, runId: string): TighteningRun | null {
  return state.runs.find(run => run.runId === runId && run.dropped === null) ?? null
}

/** The stop that holds a run up, or `null`. */
export function openStop(run: TighteningRun): RunStop | null {
  return run.stops.find(stop => stop.cleared === null) ?? null
}

/**
 * Curves of the bolts of a run that were called good in the same pass: what the next bolt is read against.
 * @param except a bolt that is read anew
 */
export function siblingCurves(run: TighteningRun, passIndex: number, except: number): TighteningSample[][] {
  return run.turns.flatMap(({ reading, ...turn }) =>
    turn.passIndex === passIndex && turn.bolt !== except && reading?.verdict === 'good' ? [samplesOf(reading)] : [],
  )
}

/** How far a bolt was read in the passes before this one, or nothing where it was begun afresh since. */
export function earlierCurve(run: TighteningRun, passIndex: number, bolt: number): TighteningSample[] {
  const begun =
    run.stops.findLast(stop => stop.bolt === bolt && stop.cleared !== null && stop.passIndex <= passIndex)?.passIndex ??
    0
  const reading = run.turns.findLast(
    turn => turn.bolt === bolt && turn.passIndex < passIndex && turn.passIndex >= begun && turn.reading,
  )?.reading
  return reading ? samplesOf(reading) : []
}

/** Head and part have met once this share of the figure stands against a wrench. Common practice, no source. */
const CONTACT_SHARE = 0.3

/** The torque up to which a speaking wrench turns a bolt in a pass, in N·m; `null` where it goes by angle or by hand. */
export function passLimitNm(run: TighteningRun, passIndex: number): number | null {
  const pass = run.passes[passIndex]!
  return pass.kind === 'contact' && run.figure ? run.figure.torqueNm * CONTACT_SHARE : pass.torqueNm
}

/** The bolts of a run in the order of its present pass, with those done. */
export function runOrders(run: TighteningRun): { order: number[]; done: number } | null {
  let before = 0
  for (const pass of run.passes) {
    if (run.turned < before + pass.order.length) return { order: pass.order, done: run.turned - before }
    before += pass.order.length
  }
  return null
}
