import { fieldOf } from '../../../bench/field-of'
import type { FieldValue } from '../../../bench/values'
import type { JobState } from '../../chapters'
import type { ReadingRecord } from '../steps'

/** What a step was told stands in the sheets that ask the same: it is asked once. */
export function noteOnSheets(
  state: JobState,
  { stepId, readingId, value }: Pick<ReadingRecord, 'stepId' | 'readingId' | 'value'>,
  at: string,
  personId: string,
): void {
  for (const sheet of state.procedure?.bench.sheets ?? []) {
    for (const field of sheet.fields) {
      if (field.reading?.step !== stepId || field.reading.id !== readingId) continue
      const known = fieldOf(field, value)
      const values = state.sheets[sheet.id]?.values
      if (known)
        state.sheets[sheet.id] = { values: { ...values, [field.id]: added(values?.[field.id], known) }, at, personId }
    }
  }
}

/** Of several places measured one more does not wipe the others out. */
function added(before: FieldValue | undefined, known: FieldValue): FieldValue {
  if (before?.kind !== 'points' || known.kind !== 'points') return known
  const { value } = known.entries[0]!
  return before.entries.some(entry => entry.value === value)
    ? before
    : { kind: 'points', entries: [...before.entries, ...known.entries] }
}
