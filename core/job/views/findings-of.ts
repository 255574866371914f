import type { Findings } from '../../decisions/cause-tables'
import type { JobState } from '../chapters'

/**
 * What is known of a complaint for a table of causes: symptoms that were told, the pumped pedal, and what was noted since, which goes before.
 * @param pump the test of the table that is the pumped pedal
 */
export function findingsOf(
  state: Pick<JobState, 'complaint' | 'pumpTest' | 'findings'>,
  table: { id: string; pump?: string; tests: { id: string; outcomes: { id: string }[] }[] },
): Findings {
  const knows = (testId: string, outcome: string) =>
    table.tests.some(test => test.id === testId && test.outcomes.some(entry => entry.id === outcome))
  const told = state.complaint.symptoms
    .filter(symptom => knows(symptom, 'yes'))
    .map((symptom): [string, string] => [symptom, 'yes'])
  const pumped: [string, string][] =
    table.pump !== undefined && state.pumpTest.result !== 'not-done' && knows(table.pump, state.pumpTest.result)
      ? [[table.pump, state.pumpTest.result]]
      : []
  const noted = Object.entries(state.findings[table.id] ?? {}).filter(([test, outcome]) => knows(test, outcome))
  return Object.fromEntries([...told, ...pumped, ...noted])
}
