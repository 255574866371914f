import { byId } from '../../base/by-id'
import { dict } from '../../base/dict'
import type { Chapter, JobState } from '../chapters'
import { refuse } from '../log/chapter'
import { blockersOf } from '../views/blockers'

/** A code that the controller holds, with what the reader says of it. */
export interface StoredCode {
  code: string
  text: string
}

export interface ControllerEvents {
  /** What the controller has stored; an empty list says that it was read and holds none. */
  'codes-read': { stepId: string; codes: StoredCode[] }
  /** A routine by which it learns something was run through, or it refused and said why. */
  'routine-run': { stepId: string; outcome: 'done' | 'refused'; reason: string }
}

export type CodesRecord = Omit<ControllerEvents['codes-read'], 'stepId'> & { at: string }
export type RoutineRecord = Omit<ControllerEvents['routine-run'], 'stepId'> & { at: string }

/** What was read of the controller and what it was taught, by step; the last time counts. */
export interface ControllerState {
  codes: Record<string, CodesRecord>
  routines: Record<string, RoutineRecord>
}

export const nothingRead = (): ControllerState => ({ codes: dict(), routines: dict() })

export const controller: Chapter<ControllerEvents> = {
  'codes-read': {
    words: 'Codes',
    wants: 'work',
    undo: true,
    afterHandover: false,
    afterCallOff: false,
    admit: (state, { payload: { stepId, codes } }) => {
      const twice = codes.findIndex(({ code }, index) => codes.findIndex(other => other.code === code) < index)
      if (twice >= 0) return refuse(`payload.codes[${twice}].code`, `"${codes[twice]!.code}" stands twice.`)
      return ofKind(state, stepId, 'read', 'This step reads no controller.')
    },
    apply: (state, { payload: { stepId, codes }, deviceTime }) => {
      state.codes[stepId] = { codes, at: deviceTime }
    },
  },
  'routine-run': {
    words: 'Routine',
    wants: 'work',
    undo: true,
    afterHandover: false,
    afterCallOff: false,
    admit: (state, { payload: { stepId, outcome, reason } }) =>
      outcome === 'refused' && reason.trim() === ''
        ? refuse('payload.reason', 'Say why it was refused, as the reader shows it.')
        : ofKind(state, stepId, 'teach', 'This step teaches nothing.'),
    apply: (state, { payload: { stepId, ...routine }, deviceTime }) => {
      state.routines[stepId] = { ...routine, at: deviceTime }
    },
  },
}

function ofKind(state: JobState, stepId: string, kind: 'read' | 'teach', otherwise: string) {
  const operation = state.procedure && byId(state.procedure.operations, stepId)
  if (operation?.activity?.kind !== kind) return refuse('payload.stepId', otherwise)
  const [blocker] = blockersOf(state, stepId)
  return blocker ? refuse('payload.stepId', `First: ${blocker.title}. ${blocker.because}`) : null
}
