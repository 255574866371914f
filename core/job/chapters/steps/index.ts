import { dict } from '../../../base/dict'
import { homeOf, bayOf } from '../../../pack/bay'
import type { CarPosition, Place } from '../../../pack/kinds'
import type { Chapter } from '../../chapters'
import { refuse } from '../../log/chapter'
import { stepView } from '../../views/steps'
import { noteOnSheets } from '../bench/note-on-sheets'
import { unknownStep } from '../plan/unknown-step'
import { applyStepDone } from './done'
import { readingRefused, readingWords } from './readings'
import { stepRefused } from './step-refused'
import { stopTimer } from './timers'

export interface StepEvents {
  'step-done': { stepId: string }
  'note-added': { stepId: string | null; text: string }
  'reading-taken': { stepId: string; readingId: string; value: number | string; unit: string | null }
  'timer-started': { stepId: string }
  'timer-stopped': { stepId: string }
}

export interface DoneRecord {
  at: string
  personId: string
  eventId: string
}
export interface NoteRecord {
  stepId: string | null
  text: string
  at: string
  personId: string
}
export interface ReadingRecord {
  stepId: string
  readingId: string
  value: number | string
  unit: string | null
  at: string
}
export interface TimerRecord {
  runningSince: string | null
  seconds: number
}

/** What is done, and how the car stands by it. */
export interface StepState {
  done: Record<string, DoneRecord>
  /** Item id → how many are off, open, unplugged, slack or propped. Items at zero are not listed. */
  ledger: Record<string, number>
  /** Item id → how many were off at most, in the order in which they first came off. */
  everOff: Record<string, number>
  /** Ids of the facts that hold. */
  facts: string[]
  car: CarPosition
  place: Place
  notes: NoteRecord[]
  readings: ReadingRecord[]
  timers: Record<string, TimerRecord>
}

export const noSteps = (): StepState => ({
  done: dict(),
  ledger: dict(),
  everOff: dict(),
  facts: [],
  car: homeOf({}),
  place: bayOf({}).places[0]!.id,
  notes: [],
  readings: [],
  timers: dict(),
})

export const steps: Chapter<StepEvents> = {
  'step-done': {
    words: (state, { payload }) => stepView(state, payload.stepId)?.title ?? 'Step',
    wants: 'help',
    undo: true,
    afterHandover: false,
    afterCallOff: false,
    admit: (state, { payload, personId }) => stepRefused(state, payload.stepId, personId),
    apply: applyStepDone,
  },
  'note-added': {
    words: 'Note',
    wants: 'help',
    undo: true,
    afterHandover: true,
    afterCallOff: true,
    admit: (state, { payload }) => unknownStep(state, payload.stepId),
    apply: (state, { payload, deviceTime, personId }) => {
      state.notes.push({ ...payload, at: deviceTime, personId })
    },
  },
  'reading-taken': {
    words: (state, { payload }) => readingWords(state, payload),
    wants: 'help',
    undo: true,
    afterHandover: false,
    afterCallOff: false,
    admit: (state, { payload }) => readingRefused(state, payload),
    apply: (state, { payload, deviceTime, personId }) => {
      state.readings.push({ ...payload, at: deviceTime })
      noteOnSheets(state, payload, deviceTime, personId)
    },
  },
  'timer-started': {
    words: 'Timer start',
    wants: 'help',
    undo: true,
    afterHandover: false,
    afterCallOff: false,
    admit: (state, { payload }) =>
      unknownStep(state, payload.stepId) ??
      (state.timers[payload.stepId]?.runningSince
        ? refuse('payload.stepId', 'The timer of this step is running already.')
        : null),
    apply: (state, { payload, deviceTime }) => {
      state.timers[payload.stepId] = { seconds: state.timers[payload.stepId]?.seconds ?? 0, runningSince: deviceTime }
    },
  },
  'timer-stopped': {
    words: 'Timer stop',
    wants: 'help',
    undo: true,
    afterHandover: false,
    afterCallOff: false,
    admit: (state, { payload }) =>
      unknownStep(state, payload.stepId) ??
      (state.timers[payload.stepId]?.runningSince
        ? null
        : refuse('payload.stepId', 'The timer of this step is not running.')),
    apply: (state, { payload, deviceTime }) => stopTimer(state, payload.stepId, deviceTime),
  },
}
