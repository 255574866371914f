import { FieldError } from '../base/field-error'

/** What may be wrong with a clutch, and how often it is the one before anything is known. */
export interface Cause {
  id: string
  title: string
  /** Share of jobs of this kind; all of them add up to 1. */
  prior: number
  /** Whether the box has to come out for it. */
  boxOut: boolean
  todo: string
  /** Work of which a car with this cause has some; it is no cause of a car whose layout has none of it. */
  onlyWith?: string[]
}

/** Something that is seen, felt, read or tried, with its outcomes and how likely each is under each cause. */
export interface CauseTest {
  id: string
  title: string
  /** How it is done; a symptom that is only told has none. */
  how?: string
  minutes: number
  hurts?: string
  outcomes: { id: string; label: string }[]
  /** Outcome by outcome, in their order, under causes not named; adds up to 1. */
  usual: number[]
  /** The same under a cause that is named. */
  given: Record<string, number[]>
}

/** A small Bayesian model as data: causes, and tests taken as independent of one another once the cause is known. */
export interface CauseTables {
  id: string
  title: string
  /** Where the figures come from. */
  origin: string
  /** The test that is the pumped pedal of the take-in. */
  pump?: string
  causes: Cause[]
  tests: CauseTest[]
}

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
