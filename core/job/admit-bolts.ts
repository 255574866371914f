import { checkFacts, checkPlace, FieldError, figureProblem, isOut, nextBolt, runLength } from '../fasteners'
import type { Figure } from '../fasteners'
import { blockersOf } from './blockers'
import type { EventType, JobEvent } from './events'
import { refuse, unknownStep } from './refusal'
import type { Judges, Refusal } from './refusal'
import { openStop } from './runs'
import type { JobState, TighteningRun } from './state'

function unknownGroup(state: JobState, group: string): Refusal | null {
  return state.procedure?.groups.some(entry => entry.id === group) ? null : refuse('payload.group', `This job has no fastener group "${group}".`)
}

function unknownBolt(state: JobState, group: string, boltIds: string[]): Refusal | null {
  const unknown = unknownGroup(state, group)
  if (unknown) return unknown
  const stranger = boltIds.find(id => !state.boards[group]?.bolts.some(bolt => bolt.id === id))
  return stranger === undefined ? null : refuse('payload.boltId', `There is no bolt "${stranger}" on this board.`)
}

/** Runs a check of the fasteners' own and puts its field under the payload. */
function asRefusal(path: string, check: () => void): Refusal | null {
  try {
    check()
    return null
  }
  catch (error) {
    if (error instanceof FieldError) return refuse(`payload.${path}${error.path}`, error.reason)
    throw error
  }
}

function openRun(state: JobState, runId: string): TighteningRun | null {
  return state.runs.find(run => run.runId === runId && run.dropped === null) ?? null
}

function wrongTurn(run: TighteningRun | null, { passIndex, bolt }: { passIndex: number, bolt: number }): Refusal | null {
  if (!run) return refuse('payload.runId', 'No such run is open on this job.')
  const stop = openStop(run)
  if (stop) return refuse('payload.bolt', `Bolt ${stop.bolt + 1} stopped the run: ${stop.because} Say first what was done about it.`)
  const next = nextBolt(run, run.turned)
  if (!next) return refuse('payload.bolt', 'Every bolt of this run is done.')
  if (next.passIndex !== passIndex || next.bolt !== bolt) return refuse('payload.bolt', `The next bolt is number ${next.bolt + 1} in pass ${next.passIndex + 1}.`)
  return null
}

/** On which step, for which group and with which figure a run may start. */
function wrongStart(state: JobState, { payload }: JobEvent<'run-started'>): Refusal | null {
  const { stepId, group, figure } = payload
  const unknown = unknownStep(state, stepId) ?? unknownGroup(state, group)
  if (unknown) return unknown
  if (stepId !== null) {
    const activity = state.procedure!.operations.find(entry => entry.id === stepId)?.activity
    if (activity?.kind !== 'tighten' || activity.group !== group) return refuse('payload.group', 'This step does not tighten that group.')
  }
  if (figure === null) {
    if (!payload.loosens) return refuse('payload.figure', 'A run starts only with a figure that is named with its source on this job.')
  }
  else {
    const wrong = wrongFigure(state, group, figure)
    if (wrong) return wrong
  }
  if (payload.boltIds) {
    const stranger = unknownBolt(state, group, payload.boltIds)
    if (stranger) return stranger
  }
  const [blocker] = stepId === null ? [] : blockersOf(state, stepId)
  if (blocker) return refuse('payload.stepId', `First: ${blocker.title}. ${blocker.because}`)
  const running = state.runs.find(run => run.dropped === null && run.stepId === stepId && (stepId !== null || (run.group === group && run.turned < runLength(run))))
  return running ? refuse('payload.runId', 'A run on this step is open already.') : null
}

/** A figure that is none, or that nobody named for this group on this job. */
function wrongFigure(state: JobState, group: string, figure: Figure): Refusal | null {
  const problem = figureProblem(figure)
  if (problem) return refuse(`payload.figure.${problem.path}`, problem.reason)
  if (figure.group !== group) return refuse('payload.figure.group', 'The figure is for another group of fasteners. Name this group\'s own.')
  const known = state.figures[group]?.some(entry =>
    entry.torqueNm === figure.torqueNm && entry.sourceKind === figure.sourceKind && entry.reference === figure.reference)
  return known ? null : refuse('payload.figure', 'A run starts only with a figure that is named with its source on this job.')
}

type BoltEvent = Extract<EventType, 'figure-named' | 'fastener-described' | `board-${string}` | `bolt-${string}` | `bolts-${string}` | 'pass-turned' | 'run-started' | 'stop-cleared'>

/** Whether what concerns bolts, their figures and their runs may enter the log. */
export const boltJudges: Pick<Judges, BoltEvent> = {
  'figure-named': (state, { payload }) => {
    const unknown = unknownGroup(state, payload.group)
    if (unknown) return unknown
    if (payload.borrowed && payload.borrowed.group === payload.group) return refuse('payload.borrowed.group', 'That is this group’s own figure.')
    const problem = figureProblem(payload)
    return problem && refuse(`payload.${problem.path}`, problem.reason)
  },
  'fastener-described': (state, { payload }) => unknownGroup(state, payload.group) ?? asRefusal('fastener.', () => checkFacts(payload.fastener)),
  'board-outlined': (state, { payload }) => unknownGroup(state, payload.group)
    ?? (state.procedure!.outlines.some(entry => entry.id === payload.outline) ? null : refuse('payload.outline', `There is no outline "${payload.outline}".`)),
  'bolt-placed': (state, { payload }) => unknownGroup(state, payload.group)
    ?? asRefusal('', () => checkPlace(state.boards[payload.group]!, payload.boltId, payload.xMm, payload.yMm)),
  'bolt-lifted': (state, { payload }) => unknownBolt(state, payload.group, [payload.boltId])
    ?? (isOut(state.boards[payload.group]!.bolts.find(bolt => bolt.id === payload.boltId)!) ? refuse('payload.boltId', 'This bolt is out. It leaves the board when it is back in.') : null),
  'bolt-described': (state, { payload }) => unknownBolt(state, payload.group, [payload.boltId])
    ?? (payload.details.thread === undefined ? null : asRefusal('details.', () => checkFacts({ thread: payload.details.thread!, propertyClass: '8.8' }))),
  'bolts-out': (state, { payload }) => unknownBolt(state, payload.group, payload.boltIds),
  'bolts-in': (state, { payload }) => {
    const unknown = unknownBolt(state, payload.group, payload.boltIds)
    if (unknown) return unknown
    const broken = state.boards[payload.group]!.bolts.find(bolt => payload.boltIds.includes(bolt.id) && bolt.condition === 'sheared')
    return broken ? refuse('payload.boltIds', 'A sheared bolt does not go back in. Note the new one’s condition first.') : null
  },
  'bolt-broken': (state, { payload }) => unknownBolt(state, payload.group, [payload.boltId])
    ?? (state.troubles.some(trouble => trouble.troubleId === payload.troubleId) ? refuse('payload.troubleId', 'This trouble is written down already.') : null),
  'run-started': wrongStart,
  'pass-turned': (state, { payload }) => {
    const run = openRun(state, payload.runId)
    const next = run && nextBolt(run, run.turned)
    return wrongTurn(run, { passIndex: payload.passIndex, bolt: next?.bolt ?? 0 })
  },
  'bolt-turned': (state, { payload }) => wrongTurn(openRun(state, payload.runId), payload),
  'bolt-stopped': (state, { payload }) => wrongTurn(openRun(state, payload.runId), payload),
  'stop-cleared': (state, { payload }) => {
    const run = openRun(state, payload.runId)
    if (!run) return refuse('payload.runId', 'No such run is open on this job.')
    return openStop(run) ? null : refuse('payload.runId', 'Nothing holds this run up.')
  },
}
