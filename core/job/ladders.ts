import type { Ladder, LadderRung } from '../packs/types'
import type { JobEvent } from './events'
import { refuse } from './refusal'
import type { Judges, Refusal } from './refusal'
import type { JobState } from './state'

export const rungOutcomes = ['worked', 'failed', 'stopped'] as const
export type RungOutcome = typeof rungOutcomes[number]

/** What the events of a trouble ladder carry. */
export interface LadderPayloads {
  'ladder-opened': { ladderRunId: string, ladderId: string, stepId: string | null, text: string }
  /** `ticked` holds the precautions that were ticked before it. */
  'rung-begun': { ladderRunId: string, rungId: string, ticked: string[] }
  'rung-ended': { ladderRunId: string, rungId: string, outcome: RungOutcome, note: string | null }
}

export interface RungTry { rungId: string, ticked: string[], begunAt: string, endedAt: string | null, outcome: RungOutcome | null, note: string | null }

/** A trouble taken up its ladder. */
export interface LadderRun {
  ladderRunId: string
  ladderId: string
  stepId: string | null
  text: string
  openedAt: string
  tries: RungTry[]
  /** When it was solved, or given up; by which rung it was solved. */
  closedAt: string | null
  solvedBy: string | null
}

type LadderEvent = keyof LadderPayloads
type Appliers = { [T in LadderEvent]: (state: JobState, event: JobEvent<T>) => void }

export function ladderOf(state: JobState, ladderId: string): Ladder | null {
  return state.procedure?.ladders.find(ladder => ladder.id === ladderId) ?? null
}

/** The rung being tried, or the next to try; `null` when the ladder has ended. */
export function currentRung(state: JobState, run: LadderRun): { rung: LadderRung, try: RungTry | null, place: number } | null {
  const ladder = ladderOf(state, run.ladderId)
  if (!ladder || run.closedAt) return null
  const open = run.tries.find(entry => entry.endedAt === null)
  const tried = new Set(run.tries.map(entry => entry.rungId))
  const rung = open ? ladder.rungs.find(entry => entry.id === open.rungId) : ladder.rungs.find(entry => !tried.has(entry.id))
  return rung ? { rung, try: open ?? null, place: ladder.rungs.indexOf(rung) } : null
}

/** Ladders in the order they are offered at a step: those made for it, then those for anywhere, then the rest. */
export function laddersAt(state: JobState, stepId: string | null): Ladder[] {
  const rank = (ladder: Ladder) => stepId !== null && ladder.steps.includes(stepId) ? 0 : ladder.everywhere ? 1 : 2
  return [...state.procedure?.ladders ?? []].sort((a, b) => rank(a) - rank(b))
}

/** What the events of ladders do to a job. */
export const ladderAppliers: Appliers = {
  'ladder-opened': (state, { payload, deviceTime }) => {
    state.ladderRuns.push({ ...payload, openedAt: deviceTime, tries: [], closedAt: null, solvedBy: null })
  },
  'rung-begun': (state, { payload: { ladderRunId, rungId, ticked }, deviceTime }) => {
    const run = state.ladderRuns.find(entry => entry.ladderRunId === ladderRunId)
    if (!run) return
    run.tries.push({ rungId, ticked, begunAt: deviceTime, endedAt: null, outcome: null, note: null })
    const rung = ladderOf(state, run.ladderId)?.rungs.find(entry => entry.id === rungId)
    if (rung?.waits) state.troubles.push({ troubleId: ladderRunId, stepId: run.stepId, text: run.text, waitsFor: rung.title, until: null, at: deviceTime, cleared: null })
  },
  'rung-ended': (state, { payload: { ladderRunId, rungId, outcome, note }, deviceTime }) => {
    const run = state.ladderRuns.find(entry => entry.ladderRunId === ladderRunId)
    const ladder = run && ladderOf(state, run.ladderId)
    const open = run?.tries.findLast(entry => entry.rungId === rungId)
    if (!run || !ladder || !open) return
    Object.assign(open, { endedAt: deviceTime, outcome, note })
    if (outcome === 'worked') {
      Object.assign(run, { closedAt: deviceTime, solvedBy: rungId })
      const rung = ladder.rungs.find(entry => entry.id === rungId)!
      state.addedParts.push(...rung.parts.map(name => ({ name, because: `${run.text}: ${rung.title}`, at: deviceTime })))
    }
    else if (outcome === 'stopped' || ladder.rungs.at(-1)!.id === rungId) run.closedAt = deviceTime
    const trouble = run.closedAt ? state.troubles.find(entry => entry.troubleId === ladderRunId && !entry.cleared) : undefined
    if (trouble) trouble.cleared = { at: deviceTime, how: note ?? outcome }
  },
}

/** Whether what is done on a ladder may enter the log. */
export const ladderJudges: Pick<Judges, LadderEvent> = {
  'ladder-opened': (state, { payload }) => {
    if (!ladderOf(state, payload.ladderId)) return refuse('payload.ladderId', `This job has no ladder "${payload.ladderId}".`)
    if (payload.stepId !== null && !state.plan?.order.includes(payload.stepId)) return refuse('payload.stepId', `The plan of this job has no step "${payload.stepId}".`)
    return state.ladderRuns.some(run => run.ladderRunId === payload.ladderRunId) ? refuse('payload.ladderRunId', 'This trouble is on its ladder already.') : null
  },
  'rung-begun': (state, { payload }) => {
    const run = openRunOf(state, payload.ladderRunId)
    if ('path' in run) return run
    const rung = ladderOf(state, run.ladderId)?.rungs.find(entry => entry.id === payload.rungId)
    if (!rung) return refuse('payload.rungId', `This ladder has no rung "${payload.rungId}".`)
    if (run.tries.some(entry => entry.endedAt === null)) return refuse('payload.rungId', 'Say first how the rung before went.')
    if (run.tries.some(entry => entry.rungId === rung.id)) return refuse('payload.rungId', 'This rung was tried already.')
    const missing = (rung.precautions ?? []).find(precaution => !payload.ticked.includes(precaution))
    return missing === undefined ? null : refuse('payload.ticked', `Not before this is so: ${missing}.`)
  },
  'rung-ended': (state, { payload }) => {
    const run = openRunOf(state, payload.ladderRunId)
    if ('path' in run) return run
    return run.tries.some(entry => entry.rungId === payload.rungId && entry.endedAt === null) ? null : refuse('payload.rungId', 'This rung is not being tried.')
  },
}

function openRunOf(state: JobState, ladderRunId: string): LadderRun | Refusal {
  const run = state.ladderRuns.find(entry => entry.ladderRunId === ladderRunId)
  if (!run) return refuse('payload.ladderRunId', 'No such trouble is on a ladder.')
  return run.closedAt ? refuse('payload.ladderRunId', 'This ladder is closed.') : run
}

/** Minutes that open ladders still ask for: the limit of the rung each stands at. */
export function ladderMinutes(state: JobState): number {
  return state.ladderRuns.reduce((sum, run) => sum + (currentRung(state, run)?.rung.minutes ?? 0), 0)
}
