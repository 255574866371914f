import type { Entry } from '../../core/bench'
import type { SheetUnit } from '../../core/packs'
import { convert, parseQuantity, readersUnit, readNumber, UnitError } from '../../core/units'
import type { UnitId, UnitPreference } from '../../core/units'

/** The unit taken where none is written behind a number. */
export function unitTyped(unit: SheetUnit, preference: UnitPreference): string {
  return readersUnit(unit, preference)
}

/**
 * What was typed into a field, read in the unit the sheet keeps. What cannot be read keeps its text and has no value:
 * it is marked, not lost.
 */
export function readEntry(text: string, unit: SheetUnit, preference: UnitPreference): Entry {
  const entered = text.trim()
  if (unit === '' || unit === 'rpm') {
    return { entered, value: readNumber(entered.replace(/\s*rpm$/, ''), preference.numbers).value }
  }
  try {
    const { value, unit: typed } = parseQuantity(entered, unitTyped(unit, preference) as UnitId, preference.numbers)
    return { entered, value: Math.round(convert(value, typed, unit as UnitId) * 1e4) / 1e4 }
  } catch (error) {
    if (error instanceof UnitError) return { entered, value: null }
    throw error
  }
}

/** A dial shows a ten-thousandth of an inch at best. */
const DIGITS = 4

/**
 * An entry as its field shows it: as it was typed, unless that would be read otherwise by now, because the garage reads in other units
 * or writes numbers another way; then what it means, as it would be typed today.
 */
export function shownEntry(entry: Entry, unit: SheetUnit, preference: UnitPreference): string {
  const { entered, value } = entry
  if (value === null || readEntry(entered, unit, preference).value === value) return entered
  const today = convert(value, unit as UnitId, unitTyped(unit, preference) as UnitId)
  const text = String(Number(today.toFixed(DIGITS)))
  return preference.numbers === 'comma' ? text.replace('.', ',') : text
}
