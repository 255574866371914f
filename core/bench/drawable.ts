import type { Sheet } from '../pack/sheets'
import { checkEntry } from './check-entry'
import type { SheetValues } from './values'

/** What of a sheet can be drawn: a number that cannot be right leaves its place as one that was never measured. */
export function drawable(sheet: Pick<Sheet, 'fields'>, values: SheetValues): SheetValues {
  const drawn: SheetValues = { ...values }
  for (const field of sheet.fields) {
    const value = values[field.id]
    if (field.kind === 'number' && value?.kind === 'number' && checkEntry(field, value.entry) !== null)
      delete drawn[field.id]
    if (field.kind === 'points' && value?.kind === 'points')
      drawn[field.id] = {
        kind: 'points',
        entries: value.entries.map(entry => (checkEntry(field, entry) === null ? entry : { ...entry, value: null })),
      }
  }
  return drawn
}
