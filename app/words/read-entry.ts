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
