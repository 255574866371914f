import type { CauseTables, Findings } from './cause-tables'

/** A job whose cause was found, with what had been found before. */
export interface KnownCase {
  findings: Findings
  cause: string
}

/** So many jobs the shipped figures count for. From memory; a garage's own jobs outweigh them after as many. */
export const SHIPPED_WEIGHT = 20

/**
 * Tables as a garage's own jobs change them: counts are added to the shipped shares as if those were `weight` jobs, for how often
 * a cause is the one and for every outcome under it (the mean of a Dirichlet distribution). The shipped tables are left as they are.
 * @param cases of causes these tables do not know are passed over, and so are findings
 */
export function learnCauses(tables: CauseTables, cases: KnownCase[], weight = SHIPPED_WEIGHT): CauseTables {
  const known = cases.filter(entry => tables.causes.some(cause => cause.id === entry.cause))
  if (known.length === 0) return tables
  const of = (cause: string) => known.filter(entry => entry.cause === cause)
  return {
    ...tables,
    causes: tables.causes.map(cause => ({
      ...cause,
      prior: (cause.prior * weight + of(cause.id).length) / (weight + known.length),
    })),
    tests: tables.tests.map(test => {
      const given = { ...test.given }
      for (const { id } of tables.causes) {
        const outcomes = of(id)
          .flatMap(entry => test.outcomes.findIndex(outcome => outcome.id === entry.findings[test.id]))
          .filter(index => index >= 0)
        if (outcomes.length === 0) continue
        given[id] = (test.given[id] ?? test.usual).map(
          (share, index) =>
            (share * weight + outcomes.filter(outcome => outcome === index).length) / (weight + outcomes.length),
        )
      }
      return { ...test, given }
    }),
  }
}
