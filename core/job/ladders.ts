import type { Ladder, LadderRung } from '../packs/types'
import { breakBolt, breakKinds } from './broken-bolts'
import type { BreakKind } from './broken-bolts'
import type { JobEvent } from './events'
import { refuse } from './refusal'
import type { Judges, Refusal } from './refusal'
import type { JobState } from './state'

export const rungOutcomes = ['worked', 'failed', 'stopped'] as const
export type RungOutcome = typeof rungOutcomes[number]

export const ladderEnds = ['machine-shop', 'part', 'specialist', 'customer'] as const
/** What follows from a ladder that did not help: a machine shop, another part, somebody who does this for a living, or the customer's word. */
export type LadderEnd = typeof ladderEnds[number]

/** Bolts of a board that a ladder is about. */
export interface LadderBolt { group: string, boltId: string }

/** What the events of a trouble ladder carry. */
export interface LadderPayloads {
  /** `about` says which one it is, `bolt` which bolt of a board. */
  'ladder-opened': { ladderRunId: string, ladderId: string, stepId: string | null, text: string, about?: string, bolt?: LadderBolt }
  /** `ticked` holds the precautions that were ticked before it. */
  'rung-begun': { ladderRunId: string, rungId: string, ticked: string[] }
  'rung-ended': { ladderRunId: string, rungId: string, outcome: RungOutcome, note: string | null }
  /** The ladder did not help: who or what does, from when, and how many minutes of work that is here. */
  'ladder-left': { ladderRunId: string, end: LadderEnd, waitsFor: string, until: string | null, minutes: number }
}

export interface RungTry { rungId: string, ticked: string[], begunAt: string, endedAt: string | null, outcome: RungOutcome | null, note: string | null }

/** A trouble taken up its ladder. It is closed when a rung has solved it, or when the trouble is cleared. */
export interface LadderRun {
  ladderRunId: string
  ladderId: string
  stepId: string | null
  text: string
  about: string | null
  bolt: LadderBolt | null
  openedAt: string
  tries: RungTry[]
  closedAt: string | null
  solvedBy: string | null
  /** What follows where no rung helped. */
  left: { end: LadderEnd, minutes: number } | null
}

type LadderEvent = keyof LadderPayloads
type Appliers = { [T in LadderEvent]: (state: JobState, event: JobEvent<T>) => void }

export function ladderOf(state: JobState, ladderId: string): Ladder | null {
  return state.procedure?.ladders.find(ladder => ladder.id === ladderId) ?? null
}

/** The rung being tried, or the next to try; `null` when there is none left, or when somebody stopped. */
export function currentRung(state: JobState, run: LadderRun): { rung: LadderRung, try: RungTry | null, place: number } | null {
  const ladder = ladderOf(state, run.ladderId)
  if (!ladder || run.closedAt || run.left || run.tries.some(entry => entry.outcome === 'stopped')) return null
  const open = run.tries.find(entry => entry.endedAt === null)
  const tried = new Set(run.tries.map(entry => entry.rungId))
  const rung = open ? ladder.rungs.find(entry => entry.id === open.rungId) : ladder.rungs.find(entry => !tried.has(entry.id))
  return rung ? { rung, try: open ?? null, place: ladder.rungs.indexOf(rung) } : null
}

/** Whether a ladder has not helped, and nobody has said yet what follows. */
export function ladderSpent(state: JobState, run: LadderRun): boolean {
  return run.closedAt === null && run.left === null && currentRung(state, run) === null
}

/** Ladders in the order they are offered at a step: those made for it, then those for anywhere, then the rest. */
export function laddersAt(state: JobState, stepId: string | null): Ladder[] {
  const rank = (ladder: Ladder) => stepId !== null && ladder.steps.includes(stepId) ? 0 : ladder.everywhere ? 1 : 2
  return [...state.procedure?.ladders ?? []].sort((a, b) => rank(a) - rank(b))
}

const troubleOf = (state: JobState, ladderRunId: string) => state.troubles.find(entry => entry.troubleId === ladderRunId && !entry.cleared)

/** What the events of ladders do to a job. A ladder is a trouble of the job for as long as it is not solved. */
export const ladderAppliers: Appliers = {
  'ladder-opened': (state, { payload: { about, bolt, ...payload }, deviceTime }) => {
    state.ladderRuns.push({ ...payload, about: about ?? null, bolt: bolt ?? null, openedAt: deviceTime, tries: [], closedAt: null, solvedBy: null, left: null })
    state.troubles.push({ troubleId: payload.ladderRunId, stepId: payload.stepId, text: [payload.text, about].filter(Boolean).join(': '), waitsFor: null, until: null, at: deviceTime, cleared: null })
    const went = ladderOf(state, payload.ladderId)?.when.find((how): how is BreakKind => (breakKinds as readonly string[]).includes(how))
    if (bolt && went) breakBolt(state, bolt.group, bolt.boltId, went)
  },
  'rung-begun': (state, { payload: { ladderRunId, rungId, ticked }, deviceTime }) => {
    const run = state.ladderRuns.find(entry => entry.ladderRunId === ladderRunId)
    if (!run) return
    run.tries.push({ rungId, ticked, begunAt: deviceTime, endedAt: null, outcome: null, note: null })
    const rung = ladderOf(state, run.ladderId)?.rungs.find(entry => entry.id === rungId)
    const trouble = troubleOf(state, ladderRunId)
    if (rung?.waits && trouble) trouble.waitsFor = rung.title
  },
  'rung-ended': (state, { payload: { ladderRunId, rungId, outcome, note }, deviceTime }) => {
    const run = state.ladderRuns.find(entry => entry.ladderRunId === ladderRunId)
    const open = run?.tries.findLast(entry => entry.rungId === rungId)
    const rung = run && ladderOf(state, run.ladderId)?.rungs.find(entry => entry.id === rungId)
    if (!run || !rung || !open) return
    Object.assign(open, { endedAt: deviceTime, outcome, note })
    const trouble = troubleOf(state, ladderRunId)
    if (trouble) trouble.waitsFor = null
    if (outcome !== 'worked') return
    Object.assign(run, { closedAt: deviceTime, solvedBy: rungId })
    state.addedParts.push(...rung.parts.map(name => ({ name, because: `${run.text}: ${rung.title}`, at: deviceTime })))
    if (trouble) trouble.cleared = { at: deviceTime, how: note ?? rung.title }
  },
  'ladder-left': (state, { payload: { ladderRunId, waitsFor, until, ...left } }) => {
    const run = state.ladderRuns.find(entry => entry.ladderRunId === ladderRunId)
    const trouble = troubleOf(state, ladderRunId)
    if (run) run.left = left
    if (trouble) Object.assign(trouble, { waitsFor, until })
  },
}

/** A trouble that is cleared closes the ladder it was taken up. */
export function closeLadder(state: JobState, troubleId: string, at: string): void {
  const run = state.ladderRuns.find(entry => entry.ladderRunId === troubleId)
  if (run) run.closedAt ??= at
}

/** Whether what is done on a ladder may enter the log. */
export const ladderJudges: Pick<Judges, LadderEvent> = {
  'ladder-opened': (state, { payload }) => {
    if (!ladderOf(state, payload.ladderId)) return refuse('payload.ladderId', `This job has no ladder "${payload.ladderId}".`)
    if (payload.stepId !== null && !state.plan?.order.includes(payload.stepId)) return refuse('payload.stepId', `The plan of this job has no step "${payload.stepId}".`)
    if (payload.bolt && !state.boards[payload.bolt.group]?.bolts.some(bolt => bolt.id === payload.bolt!.boltId)) return refuse('payload.bolt', 'That bolt is on no board of this job.')
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
  'ladder-left': (state, { payload }) => {
    const run = openRunOf(state, payload.ladderRunId)
    if ('path' in run) return run
    return run.tries.some(entry => entry.endedAt === null) ? refuse('payload.ladderRunId', 'Say first how the rung before went.') : null
  },
}

function openRunOf(state: JobState, ladderRunId: string): LadderRun | Refusal {
  const run = state.ladderRuns.find(entry => entry.ladderRunId === ladderRunId)
  if (!run) return refuse('payload.ladderRunId', 'No such trouble is on a ladder.')
  return run.closedAt ? refuse('payload.ladderRunId', 'This ladder is closed.') : run
}

/** Minutes that open ladders still ask for: the limit of the rung each stands at, or the work that follows from one that did not help. */
export function ladderMinutes(state: JobState): number {
  return state.ladderRuns.reduce((sum, run) => sum + (run.closedAt ? 0 : run.left?.minutes ?? currentRung(state, run)?.rung.minutes ?? 0), 0)
}
