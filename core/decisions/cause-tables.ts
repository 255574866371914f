import { FieldError } from '../base/field-error'
import type { CauseTables, CauseTest } from '../pack/causes'

export type { Cause, CauseTables, CauseTest } from '../pack/causes'

/** Test id → outcome id. */
export type Findings = Record<string, string>

/** Shares that add up to 1 within this are taken as written. */
const SLACK = 1e-6

/** The likelihood of an outcome under a cause. */
export function likelihood(test: CauseTest, outcomeIndex: number, causeId: string): number {
  return (test.given[causeId] ?? test.usual)[outcomeIndex]!
}

/** @throws FieldError on the first table that is none: shares that do not add up, an outcome without one, an unknown cause */
export function checkTables({ causes, tests }: CauseTables): void {
  const sum = (values: number[]) => values.reduce((total, value) => total + value, 0)
  if (Math.abs(sum(causes.map(cause => cause.prior)) - 1) > SLACK)
    throw new FieldError('causes', 'How often each cause is the one adds up to 1.')
  for (const [index, test] of tests.entries()) {
    const rows: [string, number[]][] = [
      ['usual', test.usual],
      ...Object.entries(test.given).map(([cause, row]): [string, number[]] => [`given.${cause}`, row]),
    ]
    for (const [at, row] of rows) {
      if (row.length !== test.outcomes.length)
        throw new FieldError(`tests[${index}].${at}`, `One share for each of ${test.outcomes.length} outcomes.`)
      if (row.some(share => !(share >= 0 && share <= 1)) || Math.abs(sum(row) - 1) > SLACK)
        throw new FieldError(`tests[${index}].${at}`, 'Shares from 0 to 1 that add up to 1.')
    }
    const stranger = Object.keys(test.given).find(id => !causes.some(cause => cause.id === id))
    if (stranger !== undefined)
      throw new FieldError(`tests[${index}].given.${stranger}`, `There is no cause "${stranger}".`)
  }
}

/**
 * A table for one layout: causes that it cannot have are left out, and what is left adds up to 1 again.
 * @param has whether the layout has a piece of work, by its id
 */
export function tablesFor(tables: CauseTables, has: (operationId: string) => boolean): CauseTables {
  const causes = tables.causes.filter(cause => !cause.onlyWith || cause.onlyWith.some(has))
  const total = causes.reduce((sum, cause) => sum + cause.prior, 0)
  const left = new Set(causes.map(cause => cause.id))
  return {
    ...tables,
    causes: causes.map(cause => ({ ...cause, prior: cause.prior / total })),
    tests: tables.tests.map(test => ({
      ...test,
      given: Object.fromEntries(Object.entries(test.given).filter(([cause]) => left.has(cause))),
    })),
  }
}
