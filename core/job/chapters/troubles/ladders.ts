import type { Chapter, JobState } from '../../chapters'
import { refuse } from '../../log/chapter'
import type { Refusal } from '../../log/chapter'
import { ladderOf } from '../../views/ladders'
import { breakBolt, breakKinds } from '../bolts/broken'
import type { BreakKind } from '../bolts/broken'
import { unknownStep } from '../plan/unknown-step'

export const rungOutcomes = ['worked', 'failed', 'stopped'] as const
export type RungOutcome = (typeof rungOutcomes)[number]

export const ladderEnds = ['machine-shop', 'part', 'specialist', 'customer'] as const
/** What follows from a ladder that did not help: a machine shop, another part, somebody who does this for a living, or the customer's word. */
export type LadderEnd = (typeof ladderEnds)[number]

/** Bolts of a board that a ladder is about. */
export interface LadderBolt {
  group: string
  boltId: string
}

export interface LadderEvents {
  /** `about` says which one it is, `bolt` which bolt of a board. */
  'ladder-opened': {
    ladderRunId: string
    ladderId: string
    stepId: string | null
    text: string
    about?: string
    bolt?: LadderBolt
  }
  /** `ticked` holds the precautions that were ticked before it. */
  'rung-begun': { ladderRunId: string; rungId: string; ticked: string[] }
  'rung-ended': { ladderRunId: string; rungId: string; outcome: RungOutcome; note: string | null }
  /** The ladder did not help: who or what does, from when, and how many minutes of work that is here. */
  'ladder-left': { ladderRunId: string; end: LadderEnd; waitsFor: string; until: string | null; minutes: number }
}

export interface RungTry {
  rungId: string
  ticked: string[]
  begunAt: string
  endedAt: string | null
  outcome: RungOutcome | null
  note: string | null
}

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
  left: { end: LadderEnd; minutes: number } | null
}

/** A ladder is a trouble of the job for as long as it is not solved. */
export const ladders: Chapter<LadderEvents> = {
  'ladder-opened': {
    words: 'Trouble on its ladder',
    wants: 'work',
    undo: true,
    afterHandover: false,
    afterCallOff: false,
    admit: (state, { payload }) => {
      if (!ladderOf(state, payload.ladderId))
        return refuse('payload.ladderId', `This job has no ladder "${payload.ladderId}".`)
      const unknown = unknownStep(state, payload.stepId)
      if (unknown) return unknown
      const { bolt } = payload
      if (bolt && !state.boards[bolt.group]?.bolts.some(entry => entry.id === bolt.boltId))
        return refuse('payload.bolt', 'That bolt is on no board of this job.')
      return state.ladderRuns.some(run => run.ladderRunId === payload.ladderRunId)
        ? refuse('payload.ladderRunId', 'This trouble is on its ladder already.')
        : null
    },
    apply: (state, { payload: { about, bolt, ...payload }, deviceTime }) => {
      state.ladderRuns.push({
        ...payload,
        about: about ?? null,
        bolt: bolt ?? null,
        openedAt: deviceTime,
        tries: [],
        closedAt: null,
        solvedBy: null,
        left: null,
      })
      const text = [payload.text, about].filter(Boolean).join(': ')
      state.troubles.push({
        troubleId: payload.ladderRunId,
        stepId: payload.stepId,
        ...(bolt ? { group: bolt.group } : {}),
        text,
        waitsFor: null,
        until: null,
        at: deviceTime,
        cleared: null,
      })
      const went = ladderOf(state, payload.ladderId)?.when.find((how): how is BreakKind =>
        (breakKinds as readonly string[]).includes(how),
      )
      if (bolt && went) breakBolt(state, bolt.group, bolt.boltId, went)
    },
  },
  'rung-begun': {
    words: 'Rung begun',
    wants: 'work',
    undo: true,
    afterHandover: false,
    afterCallOff: false,
    admit: (state, { payload }) => {
      const run = openRunOf(state, payload.ladderRunId)
      if ('path' in run) return run
      const rung = ladderOf(state, run.ladderId)?.rungs.find(entry => entry.id === payload.rungId)
      if (!rung) return refuse('payload.rungId', `This ladder has no rung "${payload.rungId}".`)
      if (run.tries.some(entry => entry.endedAt === null))
        return refuse('payload.rungId', 'Say first how the rung before went.')
      if (run.tries.some(entry => entry.rungId === rung.id))
        return refuse('payload.rungId', 'This rung was tried already.')
      const missing = (rung.precautions ?? []).find(precaution => !payload.ticked.includes(precaution))
      return missing === undefined ? null : refuse('payload.ticked', `Not before this is so: ${missing}.`)
    },
    apply: (state, { payload: { ladderRunId, rungId, ticked }, deviceTime }) => {
      const run = state.ladderRuns.find(entry => entry.ladderRunId === ladderRunId)
      if (!run) return
      run.tries.push({ rungId, ticked, begunAt: deviceTime, endedAt: null, outcome: null, note: null })
      const rung = ladderOf(state, run.ladderId)?.rungs.find(entry => entry.id === rungId)
      const trouble = troubleOf(state, ladderRunId)
      if (rung?.waits && trouble) trouble.waitsFor = rung.title
    },
  },
  'rung-ended': {
    words: 'How the rung went',
    wants: 'work',
    undo: true,
    afterHandover: false,
    afterCallOff: false,
    admit: (state, { payload }) => {
      const run = openRunOf(state, payload.ladderRunId)
      if ('path' in run) return run
      return run.tries.some(entry => entry.rungId === payload.rungId && entry.endedAt === null)
        ? null
        : refuse('payload.rungId', 'This rung is not being tried.')
    },
    apply: (state, { payload: { ladderRunId, rungId, outcome, note }, deviceTime }) => {
      const run = state.ladderRuns.find(entry => entry.ladderRunId === ladderRunId)
      const open = run?.tries.findLast(entry => entry.rungId === rungId)
      const rung = run && ladderOf(state, run.ladderId)?.rungs.find(entry => entry.id === rungId)
      if (!run || !rung || !open) return
      Object.assign(open, { endedAt: deviceTime, outcome, note })
      const trouble = troubleOf(state, ladderRunId)
      if (trouble) trouble.waitsFor = null
      if (outcome !== 'worked') return
      Object.assign(run, { closedAt: deviceTime, solvedBy: rungId })
      state.addedParts.push(
        ...rung.parts.map(name => ({ name, because: `${run.text}: ${rung.title}`, at: deviceTime })),
      )
      if (trouble) trouble.cleared = { at: deviceTime, how: note ?? rung.title }
    },
  },
  'ladder-left': {
    words: 'What follows from the ladder',
    wants: 'work',
    undo: true,
    afterHandover: false,
    afterCallOff: false,
    admit: (state, { payload }) => {
      const run = openRunOf(state, payload.ladderRunId)
      if ('path' in run) return run
      return run.tries.some(entry => entry.endedAt === null)
        ? refuse('payload.ladderRunId', 'Say first how the rung before went.')
        : null
    },
    apply: (state, { payload: { ladderRunId, waitsFor, until, ...left } }) => {
      const run = state.ladderRuns.find(entry => entry.ladderRunId === ladderRunId)
      const trouble = troubleOf(state, ladderRunId)
      if (run) run.left = left
      if (trouble) Object.assign(trouble, { waitsFor, until })
    },
  },
}

/** A trouble that is cleared closes the ladder it was taken up. */
export function closeLadder(state: JobState, troubleId: string, at: string): void {
  const run = state.ladderRuns.find(entry => entry.ladderRunId === troubleId)
  if (run) run.closedAt ??= at
}

const troubleOf = (state: JobState, ladderRunId: string) =>
  state.troubles.find(entry => entry.troubleId === ladderRunId && !entry.cleared)

function openRunOf(state: JobState, ladderRunId: string): LadderRun | Refusal {
  const run = state.ladderRuns.find(entry => entry.ladderRunId === ladderRunId)
  if (!run) return refuse('payload.ladderRunId', 'No such trouble is on a ladder.')
  return run.closedAt ? refuse('payload.ladderRunId', 'This ladder is closed.') : run
}
