import { measured } from '../say/quantity'
import { inUnit } from '../units/present'
import type { SheetField } from '../pack/sheets'
import type { Entry } from './values'

type Measured = Extract<SheetField, { kind: 'number' | 'points' }>

/**
 * Why an entry cannot be computed with, in words for who typed it; `null` when it can.
 * What lies outside the field's bounds but inside them in another unit is called a wrong unit.
 */
export function checkEntry(field: Measured, { entered, value }: Entry): string | null {
  if (value === null || !Number.isFinite(value)) return `“${entered}” is not a number.`
  if (value >= field.low && value <= field.high) return null
  const bounds = `Between ${measured(field.low, field.unit)} and ${measured(field.high, field.unit)}`
  if (field.unit === 'mm') {
    const asInch = inUnit(value, 'in', 'mm').value
    const asThou = inUnit(value, 'thou', 'mm').value
    if (asInch >= field.low && asInch <= field.high)
      return `${bounds} is possible. As inches it would be {${asInch.toFixed(2)} mm}: was that meant?`
    if (asThou >= field.low && asThou <= field.high)
      return `${bounds} is possible. As thou it would be {${asThou.toFixed(2)} mm}: was that meant?`
  }
  return `${bounds} is possible. Measure it again.`
}

/** The numbers of a row that can be computed with, and the marks on the others. */
export function checkPoints(
  field: Extract<SheetField, { kind: 'points' }>,
  entries: Entry[],
): { usable: number[]; marks: { index: number; reason: string }[]; tooFew: string | null } {
  const marks = entries.flatMap((entry, index) => {
    // A place with a name that nobody has measured yet.
    if (entry.entered === '') return []
    const reason = checkEntry(field, entry)
    return reason === null ? [] : [{ index, reason }]
  })
  const usable = entries.filter(entry => checkEntry(field, entry) === null).map(entry => entry.value!)
  return {
    usable,
    marks,
    tooFew: usable.length < field.atLeast ? `${usable.length} of at least ${field.atLeast} places are measured.` : null,
  }
}
