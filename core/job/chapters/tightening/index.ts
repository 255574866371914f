import { nextBolt } from '../../../fasteners'
import type { BoltReading, Feel, Figure, Point, TighteningPass, TighteningVerdict } from '../../../fasteners'
import type { Chapter } from '../../chapters'
import { refuse } from '../../log/chapter'
import { turnOnBoard } from '../bolts/boards'
import { runRefused, turnRefused } from './run-refused'
import { openRun, openStop } from './runs'

/** The wrench a run is done with, as it was when the run began. */
export interface RunWrench {
  id: string
  name: string
  overdue: boolean
  adapterLengthMm: number
  adapterAngleDeg: number
  lengthMm: number
}

export interface TighteningEvents {
  /** `stepId` is `null` for a run that belongs to no step, `figure` for one that loosens; `boltIds` are those of the board where it holds these very bolts. */
  'run-started': {
    runId: string
    stepId: string | null
    group: string
    boltCount: number
    figure: Figure | null
    passes: TighteningPass[]
    positions?: Point[]
    boltIds?: string[]
    loosens?: boolean
    wrench?: RunWrench
  }
  /** What is left of a pass, with a wrench that cannot speak. */
  'pass-turned': { runId: string; passIndex: number }
  'bolt-turned': { runId: string; passIndex: number; bolt: number; feel?: Feel; reading?: BoltReading }
  /** A bolt that must not be turned on: the wrench saw it, or the hand felt it. */
  'bolt-stopped': {
    runId: string
    passIndex: number
    bolt: number
    verdict: Exclude<TighteningVerdict, 'good'>
    because: string
    by: 'wrench' | 'feel'
    reading?: BoltReading
  }
  'stop-cleared': { runId: string; how: string }
  'run-dropped': { runId: string; reason: string }
}

/** What is known of one bolt in one pass. */
export interface TurnedBolt {
  passIndex: number
  bolt: number
  feel?: Feel
  reading?: BoltReading
}

/** A bolt that stopped its run. */
export type RunStop = Pick<
  TighteningEvents['bolt-stopped'],
  'passIndex' | 'bolt' | 'verdict' | 'because' | 'by' | 'reading'
> & { at: string; cleared: string | null }

export interface TighteningRun {
  runId: string
  stepId: string | null
  group: string
  boltCount: number
  /** `null` for a run that loosens. */
  figure: Figure | null
  passes: TighteningPass[]
  positions?: Point[]
  boltIds?: string[]
  loosens?: boolean
  wrench?: RunWrench
  /** Turns of the wrench done, over all passes. */
  turned: number
  /** Those of them that a hand or a wrench said something of. */
  turns: TurnedBolt[]
  stops: RunStop[]
  dropped: string | null
}

export interface TighteningState {
  runs: TighteningRun[]
}

export const noTightening = (): TighteningState => ({ runs: [] })

export const tightening: Chapter<TighteningEvents> = {
  'run-started': {
    words: 'Run start',
    wants: 'work',
    undo: true,
    afterHandover: false,
    afterCallOff: false,
    admit: (state, { payload }) => runRefused(state, payload),
    apply: (state, { payload }) => {
      state.runs.push({ ...payload, turned: 0, turns: [], stops: [], dropped: null })
    },
  },
  'pass-turned': {
    words: 'Pass',
    wants: 'work',
    undo: true,
    afterHandover: false,
    afterCallOff: false,
    admit: (state, { payload }) => {
      const run = openRun(state, payload.runId)
      const next = run && nextBolt(run, run.turned)
      return turnRefused(run, { passIndex: payload.passIndex, bolt: next?.bolt ?? 0 })
    },
    apply: (state, { payload: { runId, passIndex } }) => {
      const run = state.runs.find(entry => entry.runId === runId)
      if (!run) return
      for (let next = nextBolt(run, run.turned); next?.passIndex === passIndex; next = nextBolt(run, run.turned)) {
        run.turned++
        turnOnBoard(state, run, { passIndex, bolt: next.bolt })
      }
    },
  },
  'bolt-turned': {
    words: 'Bolt',
    wants: 'work',
    undo: true,
    afterHandover: false,
    afterCallOff: false,
    admit: (state, { payload }) => turnRefused(openRun(state, payload.runId), payload),
    apply: (state, { payload: { runId, ...turn } }) => {
      const run = state.runs.find(entry => entry.runId === runId)
      if (!run) return
      run.turned++
      if (turn.feel || turn.reading) run.turns.push(turn)
      turnOnBoard(state, run, turn)
    },
  },
  'bolt-stopped': {
    words: 'Stop',
    wants: 'work',
    undo: true,
    afterHandover: false,
    afterCallOff: false,
    admit: (state, { payload }) => turnRefused(openRun(state, payload.runId), payload),
    apply: (state, { payload: { runId, ...stop }, deviceTime }) => {
      state.runs.find(entry => entry.runId === runId)?.stops.push({ ...stop, at: deviceTime, cleared: null })
    },
  },
  'stop-cleared': {
    words: 'Clearing of the stop',
    wants: 'work',
    undo: true,
    afterHandover: false,
    afterCallOff: false,
    admit: (state, { payload }) => {
      const run = openRun(state, payload.runId)
      if (!run) return refuse('payload.runId', 'No such run is open on this job.')
      return openStop(run) ? null : refuse('payload.runId', 'Nothing holds this run up.')
    },
    apply: (state, { payload }) => {
      const stop = state.runs
        .find(entry => entry.runId === payload.runId)
        ?.stops.findLast(entry => entry.cleared === null)
      if (stop) stop.cleared = payload.how
    },
  },
  'run-dropped': {
    words: 'Run stopped',
    wants: 'work',
    undo: true,
    afterHandover: false,
    afterCallOff: false,
    admit: (state, { payload }) =>
      openRun(state, payload.runId) ? null : refuse('payload.runId', 'No such run is open on this job.'),
    apply: (state, { payload }) => {
      const run = state.runs.find(entry => entry.runId === payload.runId)
      if (run) run.dropped = payload.reason
    },
  },
}
