import { likelihood } from './cause-tables'
import type { CauseTables, CauseTest, Findings } from './cause-tables'
import { rankCauses } from './rank-causes'
import type { CauseRank } from './rank-causes'

export interface TestWorth {
  test: string
  minutes: number
  /** How much it is expected to tell, in bits: the entropy over causes before it less that after it, on average over its outcomes. */
  gainBits: number
  bitsPerMinute: number
  /** What may come out, how likely, and which cause would then lead. */
  outcomes: { outcome: string; probability: number; leads: string }[]
}

/** A test takes at least so long: even a question is put and answered, in minutes. */
const LEAST_MINUTES = 0.5

const entropy = (ranks: CauseRank[]): number =>
  ranks.reduce((sum, { probability }) => (probability > 0 ? sum - probability * Math.log2(probability) : sum), 0)

/**
 * Which test not yet done would separate the causes best for its minutes, the best first. Only tests with a way to do them count.
 * Source of the measure: Shannon 1948, expected information (mutual information of outcome and cause).
 */
export function nextTest(findings: Findings, tables: CauseTables): TestWorth[] {
  const before = rankCauses(findings, tables)
  return tables.tests
    .filter(test => test.how !== undefined && findings[test.id] === undefined)
    .map(test => worthOf(test, before, findings, tables))
    .sort((a, b) => b.bitsPerMinute - a.bitsPerMinute)
}

function worthOf(test: CauseTest, before: CauseRank[], findings: Findings, tables: CauseTables): TestWorth {
  const outcomes = test.outcomes.flatMap((outcome, index) => {
    const probability = before.reduce((sum, rank) => sum + rank.probability * likelihood(test, index, rank.cause), 0)
    if (probability <= 0) return []
    const after = rankCauses({ ...findings, [test.id]: outcome.id }, tables)
    return [{ outcome: outcome.id, probability, leads: after[0]!.cause, after }]
  })
  const gainBits = Math.max(
    0,
    entropy(before) - outcomes.reduce((sum, { probability, after }) => sum + probability * entropy(after), 0),
  )
  const minutes = Math.max(LEAST_MINUTES, test.minutes)
  return {
    test: test.id,
    minutes: test.minutes,
    gainBits,
    bitsPerMinute: gainBits / minutes,
    outcomes: outcomes.map(({ after: _after, ...outcome }) => outcome),
  }
}
