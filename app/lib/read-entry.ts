import type { Entry } from '../../core/bench'
import type { SheetUnit } from '../../core/packs'
import { convert, parseQuantity, UnitError } from '../../core/units'
import type { UnitId, UnitPreference } from '../../core/units'

/** The unit taken where none is written behind a number. */
export function unitTyped(unit: SheetUnit, preference: UnitPreference): string {
  if (unit === 'mm') return preference.length
  if (unit === 'km') return preference.distance
  if (unit === 'N·m') return preference.torque
  if (unit === 'N') return preference.torque === 'N·m' ? 'N' : 'lbf'
  if (unit === 'ml') return 'ml'
  if (unit === 'kg') return preference.torque === 'N·m' ? 'kg' : 'lb'
  return unit
}

/**
 * What was typed into a field, read in the unit the sheet keeps. What cannot be read keeps its text and has no value:
 * it is marked, not lost.
 */
export function readEntry(text: string, unit: SheetUnit, preference: UnitPreference): Entry {
  const entered = text.trim()
  if (unit === '' || unit === 'rpm') {
    const plain = /^[+-]?\d+(?:[.,]\d+)?$/.exec(entered.replace(/\s*rpm$/, ''))
    return { entered, value: plain ? Number(plain[0].replace(',', '.')) : null }
  }
  try {
    const { value, unit: typed } = parseQuantity(entered, unitTyped(unit, preference) as UnitId)
    return { entered, value: Math.round(convert(value, typed, unit as UnitId) * 1e4) / 1e4 }
  }
  catch (error) {
    if (error instanceof UnitError) return { entered, value: null }
    throw error
  }
}
