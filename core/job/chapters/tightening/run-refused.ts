import { byId } from '../../../base/by-id'
import { figureProblem, nextBolt, runLength } from '../../../fasteners'
import type { Figure } from '../../../fasteners'
import type { JobState } from '../../chapters'
import { refuse } from '../../log/chapter'
import type { Refusal } from '../../log/chapter'
import { blockersOf } from '../../views/blockers'
import { unknownBolt, unknownGroup } from '../bolts/unknown'
import { unknownStep } from '../plan/unknown-step'
import type { TighteningEvents, TighteningRun } from '.'
import { openStop } from './runs'

/** Why a run may not start: on this step, for this group, with this figure, over these bolts. */
export function runRefused(
  state: JobState,
  { stepId, group, figure, loosens, boltIds }: TighteningEvents['run-started'],
): Refusal | null {
  const unknown = unknownStep(state, stepId) ?? unknownGroup(state, group)
  if (unknown) return unknown
  if (stepId !== null) {
    const activity = byId(state.procedure!.operations, stepId)?.activity
    if (activity?.kind !== 'tighten' || activity.group !== group)
      return refuse('payload.group', 'This step does not tighten that group.')
  }
  if (figure === null && !loosens)
    return refuse('payload.figure', 'A run starts only with a figure that is named with its source on this job.')
  const wrong = (figure && figureRefused(state, group, figure)) ?? (boltIds ? unknownBolt(state, group, boltIds) : null)
  if (wrong) return wrong
  const [blocker] = stepId === null ? [] : blockersOf(state, stepId)
  if (blocker) return refuse('payload.stepId', `First: ${blocker.title}. ${blocker.because}`)
  const running = state.runs.find(
    run =>
      run.dropped === null &&
      run.stepId === stepId &&
      (stepId !== null || (run.group === group && run.turned < runLength(run))),
  )
  return running ? refuse('payload.runId', 'A run on this step is open already.') : null
}

/** A figure that is none, or that nobody named for this group on this job. */
function figureRefused(state: JobState, group: string, figure: Figure): Refusal | null {
  const problem = figureProblem(figure)
  if (problem) return refuse(`payload.figure.${problem.path}`, problem.reason)
  if (figure.group !== group)
    return refuse('payload.figure.group', "The figure is for another group of fasteners. Name this group's own.")
  const known = state.figures[group]?.some(
    entry =>
      entry.torqueNm === figure.torqueNm &&
      entry.sourceKind === figure.sourceKind &&
      entry.reference === figure.reference,
  )
  return known
    ? null
    : refuse('payload.figure', 'A run starts only with a figure that is named with its source on this job.')
}

/** Why this bolt is not the one to turn now. */
export function turnRefused(
  run: TighteningRun | null,
  { passIndex, bolt }: { passIndex: number; bolt: number },
): Refusal | null {
  if (!run) return refuse('payload.runId', 'No such run is open on this job.')
  const stop = openStop(run)
  if (stop)
    return refuse(
      'payload.bolt',
      `Bolt ${stop.bolt + 1} stopped the run: ${stop.because} Say first what was done about it.`,
    )
  const next = nextBolt(run, run.turned)
  if (!next) return refuse('payload.bolt', 'Every bolt of this run is done.')
  if (next.passIndex !== passIndex || next.bolt !== bolt)
    return refuse('payload.bolt', `The next bolt is number ${next.bolt + 1} in pass ${next.passIndex + 1}.`)
  return null
}
