import { dict } from '../../base/dict'
import type { Findings } from '../../decisions/cause-tables'
import type { Chapter } from '../chapters'
import { refuse } from '../log/chapter'

/** What was found out about the complaint, and which cause it was in the end. Tables and their ids are data. */
export interface DiagnosisEvents {
  /** The car comes back for an earlier job; `cause` is what that one had found. */
  'comeback-noted': { jobId: string; number: number; cause: string | null }
  /** `outcome` is `null` where it is taken back. */
  'finding-noted': { tableId: string; testId: string; outcome: string | null }
  /** `findings` is everything that was known when it was found. */
  'cause-found': { tableId: string; causeId: string; title: string; text: string; findings: Findings }
}

export interface DiagnosisState {
  comeback: DiagnosisEvents['comeback-noted'] | null
  /** Table of causes → test → outcome. */
  findings: Record<string, Findings>
  causeFound: (DiagnosisEvents['cause-found'] & { at: string; personId: string }) | null
}

export const noDiagnosis = (): DiagnosisState => ({ comeback: null, findings: dict(), causeFound: null })

export const diagnosis: Chapter<DiagnosisEvents> = {
  'comeback-noted': {
    words: 'Comeback',
    wants: 'work',
    undo: true,
    afterHandover: false,
    afterCallOff: false,
    admit: () => null,
    apply: (state, { payload }) => {
      state.comeback = payload
    },
  },
  'finding-noted': {
    words: 'What was found',
    wants: 'work',
    undo: true,
    afterHandover: false,
    afterCallOff: false,
    admit: (state, { payload }) =>
      payload.outcome === null && state.findings[payload.tableId]?.[payload.testId] === undefined
        ? refuse('payload.testId', 'Nothing was noted of this test.')
        : null,
    apply: (state, { payload: { tableId, testId, outcome } }) => {
      const { [testId]: _before, ...rest } = state.findings[tableId] ?? {}
      state.findings[tableId] = outcome === null ? rest : { ...rest, [testId]: outcome }
    },
  },
  'cause-found': {
    words: 'Cause',
    wants: 'work',
    undo: true,
    afterHandover: true,
    afterCallOff: false,
    admit: () => null,
    apply: (state, { payload, deviceTime, personId }) => {
      state.causeFound = { ...payload, at: deviceTime, personId }
    },
  },
}
