import type { SheetField } from '../pack/sheets'
import type { FieldValue } from './values'

/**
 * What the reading of a step is in a field that is the same thing: the number with its unit, the first of several, or the answer.
 * The other way round of `readingOf`; `null` where the field cannot hold it.
 */
export function fieldOf(field: SheetField, value: number | string): FieldValue | null {
  if (typeof value === 'number') {
    const entry = 'unit' in field ? { entered: [value, field.unit].filter(part => part !== '').join(' '), value } : null
    if (field.kind === 'number') return { kind: 'number', entry: entry! }
    return field.kind === 'points' ? { kind: 'points', entries: [entry!] } : null
  }
  const answer = field.kind === 'choice' ? field.answers.find(entry => entry.label === value) : undefined
  return answer ? { kind: 'choice', answer: answer.id } : null
}
