import { FieldError } from '../base/field-error'
import { likelihood } from './cause-tables'
import type { CauseTables, CauseTest, Findings } from './cause-tables'

export interface CauseRank {
  cause: string
  /** From 0 to 1; all of them add up to 1. */
  probability: number
}

/**
 * Causes by how likely they are after what was found, the likeliest first: P(cause) Π P(found | cause), made to add up to 1 (Bayes).
 * Findings are taken as independent once the cause is known, but those that tell much of the same: n of them count as
 * n / (1 + (n − 1) ρ), with ρ a half (effective number of equally correlated readings; Kish 1965, from memory).
 * @param findings test id → outcome id
 * @throws FieldError on a test or an outcome that the tables do not know, and where no cause can explain what was found
 */
export function rankCauses(findings: Findings, tables: CauseTables): CauseRank[] {
  const seen = Object.entries(findings).map(([testId, outcomeId]) => {
    const test = tables.tests.find(entry => entry.id === testId)
    if (!test) throw new FieldError(testId, `There is no test "${testId}".`)
    const outcome = test.outcomes.findIndex(entry => entry.id === outcomeId)
    if (outcome < 0) throw new FieldError(testId, `One of: ${test.outcomes.map(entry => entry.id).join(', ')}.`)
    return { test, outcome }
  })
  const weights = tables.causes.map(cause =>
    seen.reduce(
      (product, { test, outcome }) => product * likelihood(test, outcome, cause.id) ** shareOf(test, seen),
      cause.prior,
    ),
  )
  const total = weights.reduce((sum, weight) => sum + weight, 0)
  if (!(total > 0)) throw new FieldError('findings', 'No cause in the tables explains all of this at once.')
  return tables.causes
    .map((cause, index) => ({ cause: cause.id, probability: weights[index]! / total }))
    .sort((a, b) => b.probability - a.probability)
}

/** How alike signs of one name are. Common practice, no source. */
const ALIKE = 0.5

/** How much of what a finding says is its own. */
function shareOf({ alike }: CauseTest, seen: readonly { test: CauseTest }[]): number {
  const together = alike === undefined ? 1 : seen.filter(({ test }) => test.alike === alike).length
  return 1 / (1 + (Math.max(1, together) - 1) * ALIKE)
}

/** How likely the box has to come out: the sum over causes that want it. */
export function boxOutShare(ranks: CauseRank[], tables: CauseTables): number {
  return ranks.reduce(
    (sum, rank) => sum + (tables.causes.find(cause => cause.id === rank.cause)!.boxOut ? rank.probability : 0),
    0,
  )
}
