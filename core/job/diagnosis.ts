import type { Findings } from '../decisions/cause-tables'
import type { JobEvent } from './events'
import { refuse } from './refusal'
import type { Judges } from './refusal'
import type { JobState } from './state'

/** What was found out about the complaint, and which cause it was in the end. Tables and their ids are data. */
export interface DiagnosisPayloads {
  /** The car comes back for an earlier job; `cause` is what that one had found. */
  'comeback-noted': { jobId: string, number: number, cause: string | null }
  /** `outcome` is `null` where it is taken back. */
  'finding-noted': { tableId: string, testId: string, outcome: string | null }
  /** `findings` is everything that was known when it was found. */
  'cause-found': { tableId: string, causeId: string, title: string, text: string, findings: Findings }
}

export interface Diagnosis {
  comeback: DiagnosisPayloads['comeback-noted'] | null
  /** Table of causes → test → outcome. */
  findings: Record<string, Findings>
  causeFound: (DiagnosisPayloads['cause-found'] & { at: string, personId: string }) | null
}

export const diagnosisAppliers = {
  'comeback-noted': (state: JobState, { payload }: JobEvent<'comeback-noted'>) => {
    state.comeback = payload
  },
  'finding-noted': (state: JobState, { payload: { tableId, testId, outcome } }: JobEvent<'finding-noted'>) => {
    const { [testId]: _before, ...rest } = state.findings[tableId] ?? {}
    state.findings[tableId] = outcome === null ? rest : { ...rest, [testId]: outcome }
  },
  'cause-found': (state: JobState, { payload, deviceTime, personId }: JobEvent<'cause-found'>) => {
    state.causeFound = { ...payload, at: deviceTime, personId }
  },
}

export const diagnosisJudges: Pick<Judges, keyof DiagnosisPayloads> = {
  'finding-noted': (state, { payload }) => payload.outcome === null && state.findings[payload.tableId]?.[payload.testId] === undefined
    ? refuse('payload.testId', 'Nothing was noted of this test.')
    : null,
}

/**
 * What is known of a complaint for a table of causes: symptoms that were told, the pumped pedal, and what was noted since, which goes before.
 * @param pump the test of the table that is the pumped pedal
 */
export function findingsOf(state: Pick<JobState, 'complaint' | 'pumpTest' | 'findings'>, table: { id: string, pump?: string, tests: { id: string, outcomes: { id: string }[] }[] }): Findings {
  const knows = (testId: string, outcome: string) => table.tests.some(test => test.id === testId && test.outcomes.some(entry => entry.id === outcome))
  const told = state.complaint.symptoms.filter(symptom => knows(symptom, 'yes')).map((symptom): [string, string] => [symptom, 'yes'])
  const pumped: [string, string][] = table.pump !== undefined && state.pumpTest.result !== 'not-done' && knows(table.pump, state.pumpTest.result) ? [[table.pump, state.pumpTest.result]] : []
  const noted = Object.entries(state.findings[table.id] ?? {}).filter(([test, outcome]) => knows(test, outcome))
  return Object.fromEntries([...told, ...pumped, ...noted])
}
