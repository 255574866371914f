import type { SheetField } from '../pack/sheets'
import { checkEntry, checkPoints } from './check-entry'
import type { FieldValue } from './values'

/**
 * What a field says as the reading of a step: the number, the lowest of several, or the answer's words.
 * `null` where nothing usable stands in it.
 */
export function readingOf(
  field: SheetField,
  value: FieldValue,
): { value: number | string; unit: string | null } | null {
  if (field.kind === 'number' && value.kind === 'number') {
    return checkEntry(field, value.entry) === null ? { value: value.entry.value!, unit: field.unit } : null
  }
  if (field.kind === 'points' && value.kind === 'points') {
    const { usable } = checkPoints(field, value.entries)
    return usable.length > 0 ? { value: Math.min(...usable), unit: field.unit } : null
  }
  if (field.kind === 'choice' && value.kind === 'choice') {
    const answer = field.answers.find(entry => entry.id === value.answer)
    return answer ? { value: answer.label, unit: null } : null
  }
  return null
}
