import { UnitError } from './convert'
import { parseUnit } from './units'
import type { UnitId } from './units'

/**
 * Reads what a person types into a figure field: a number, with or without a unit behind it.
 * Accepts a decimal comma.
 * @param text for example `54`, `40 lbf·ft`, `8,5 mm`
 * @param assumed the unit taken when none is written
 * @throws UnitError when there is no number or the unit is not known
 */
export function parseQuantity(text: string, assumed: UnitId): { value: number, unit: UnitId } {
  const match = /^([+-]?\d+(?:[.,]\d+)?)\s*(\S.*)?$/.exec(text.trim())
  if (!match) throw new UnitError(`"${text.trim()}" is not a number`)
  const value = Number(match[1]!.replace(',', '.'))
  const unit = match[2] === undefined ? assumed : parseUnit(match[2])
  if (unit === null) throw new UnitError(`"${match[2]}" is not a unit Eldrin knows`)
  return { value, unit }
}
