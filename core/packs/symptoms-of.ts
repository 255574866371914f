import type { CauseTables, Symptom } from '../pack/causes'

/** What nobody has thought of a word for. */
const OTHER: Symptom = { id: 'other', label: 'Something else' }

/** What is told rather than tried, of some tables of causes: each once, in their order. */
export function symptomsOf(tables: CauseTables[]): Symptom[] {
  const told = tables.flatMap(table =>
    table.tests.filter(test => test.how === undefined).map(({ id, title }): Symptom => ({ id, label: title })),
  )
  return [...told.filter((entry, index) => told.findIndex(other => other.id === entry.id) === index), OTHER]
}
