import { UnitError } from './convert'
import { parseUnit } from './units'
import { readNumber } from './read-number'
import type { NumberFormat } from './read-number'
import type { UnitId } from './units'

/**
 * Reads what a person types into a figure field: a number, with or without a unit behind it.
 * Accepts a decimal comma, and groups of three as `readNumber` does.
 * @param text for example `54`, `40 lbf·ft`, `8,5 mm`
 * @param assumed the unit taken when none is written
 * @param format the decimal sign of who types
 * @throws UnitError when there is no number or the unit is not known
 */
export function parseQuantity(
  text: string,
  assumed: UnitId,
  format: NumberFormat = 'point',
): { value: number; unit: UnitId } {
  const match = /^([+-]?\d(?:[\d.,\s'’\u00a0\u202f\u2009]*\d)?)\s*([^\d\s].*)?$/.exec(text.trim())
  const value = match && readNumber(match[1]!, format).value
  if (!match || value === null) throw new UnitError(`"${text.trim()}" is not a number`)
  const unit = match[2] === undefined ? assumed : parseUnit(match[2])
  if (unit === null) throw new UnitError(`"${match[2]}" is not a unit Eldrin knows`)
  return { value, unit }
}
