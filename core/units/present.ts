import { convert } from './convert'
import type { NumberFormat } from './read-number'
import type { UnitId } from './units'

/** What a garage or a person likes to read. */
export interface UnitPreference {
  torque: 'N·m' | 'lbf·ft'
  length: 'mm' | 'in'
  distance: 'km' | 'mi'
  /** Where they are not said: kilograms with millimetres, pounds with inches; millilitres. */
  mass?: 'kg' | 'lb'
  volume?: 'ml' | 'US qt'
  /** How numbers are typed. */
  numbers?: NumberFormat
}

/** A figure as written: number and unit, ready to be set on a tool. */
export interface Presented {
  value: number
  text: string
  unit: UnitId
}

/** Below this many lbf·ft a wrench is read in lbf·in, as its scale is. */
const SMALL_TORQUE_LBFT = 10

const decimals: Partial<Record<UnitId, number>> = {
  'N·m': 1,
  'lbf·ft': 1,
  'lbf·in': 0,
  mm: 2,
  in: 3,
  thou: 0,
  km: 0,
  mi: 0,
  ml: 0,
  'US qt': 2,
  kg: 1,
  lb: 1,
  min: 0,
}

/**
 * Writes a value in a unit with the digits a tool in that unit can show; a decimal that is zero is left out.
 */
export function inUnit(value: number, from: UnitId, to: UnitId): Presented {
  const converted = convert(value, from, to)
  const text = converted.toFixed(decimals[to] ?? 1)
  return { value: converted, text: text.includes('.') ? text.replace(/\.?0+$/, '') : text, unit: to }
}

/** The unit a torque of this size is best read in under a preference. */
export function preferredUnit(torqueNm: number, preference: UnitPreference): UnitId {
  if (preference.torque === 'N·m') return 'N·m'
  return convert(torqueNm, 'N·m', 'lbf·ft') < SMALL_TORQUE_LBFT ? 'lbf·in' : 'lbf·ft'
}

/**
 * A torque in the reader's unit and in the other one: figures that matter to safety show both.
 * @param torqueNm torque in N·m
 */
export function inBothUnits(torqueNm: number, preference: UnitPreference): { main: Presented; other: Presented } {
  const imperial = preferredUnit(torqueNm, { ...preference, torque: 'lbf·ft' })
  const metric = inUnit(torqueNm, 'N·m', 'N·m')
  const inch = inUnit(torqueNm, 'N·m', imperial)
  return preference.torque === 'N·m' ? { main: metric, other: inch } : { main: inch, other: metric }
}
