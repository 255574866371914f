import { inBothUnits, inUnit } from './present'
import type { UnitPreference } from './present'

const BOTTLE_ML = 250
/** A quantity as the core says it: so many digits were meant. */
interface Said {
  value: number
  unit: 'N·m' | 'kN' | 'N' | 'mm' | 'kg' | 'ml' | 'km' | 'bar' | '°C' | 'K'
  digits: number
}

/** The unit of mass a reader likes: what was chosen, else the one that goes with the lengths. */
export function massUnit({ mass, length }: UnitPreference): 'kg' | 'lb' {
  return mass ?? (length === 'mm' ? 'kg' : 'lb')
}

/**
 * A quantity of a sentence as its reader likes it: torque and force by the unit of torque, pressure and heat by that of length, the rest each by its own.
 * @returns the number as written, and its unit
 * @example inReadersUnit({ value: 12, unit: 'N·m', digits: 1 }, { torque: 'lbf·ft', length: 'in', distance: 'mi' }) // ['106', 'lbf·in']
 */
export function inReadersUnit(
  { value, unit, digits }: Said,
  preference: UnitPreference,
): [number: string, unit: string] {
  const kept = value.toFixed(digits)
  const whole = (converted: number, name: string, step = 1): [string, string] => [
    String(Math.round(converted / step) * step),
    name,
  ]
  switch (unit) {
    case 'kg':
      return massUnit(preference) === 'kg' ? [kept, 'kg'] : whole(inUnit(value, 'kg', 'lb').value, 'lb')
    // What a reservoir or a bottle holds is told by its own scale.
    case 'ml':
      return (preference.volume ?? 'ml') === 'ml' || value < BOTTLE_ML
        ? [kept, 'ml']
        : [inUnit(value, 'ml', 'US qt').text, 'US qt']
    case 'km':
      return preference.distance === 'km' ? [kept, 'km'] : whole(inUnit(value, 'km', 'mi').value, 'mi')
    case 'mm':
      return preference.length === 'mm' ? [kept, 'mm'] : [inUnit(value, 'mm', 'in').text, 'in']
    case 'bar':
      return preference.length === 'mm' ? [kept, 'bar'] : whole(inUnit(value, 'bar', 'psi').value, 'psi')
    case '°C':
      return preference.length === 'mm' ? [kept, '°C'] : whole(inUnit(value, '°C', '°F').value, '°F')
    case 'K':
      return preference.length === 'mm' ? [kept, '°C'] : whole(value * 1.8, '°F')
    case 'kN':
      return preference.torque === 'N·m' ? [kept, 'kN'] : whole(inUnit(value, 'kN', 'lbf').value, 'lbf', 10)
    case 'N':
      return preference.torque === 'N·m' ? [kept, 'N'] : whole(inUnit(value, 'N', 'lbf').value, 'lbf')
    case 'N·m': {
      if (preference.torque === 'N·m') return [kept, 'N·m']
      const { main } = inBothUnits(value, preference)
      return [main.text, main.unit]
    }
  }
}

/** The unit in which a reading kept in another is shown. */
export function readersUnit(unit: string, preference: UnitPreference): string {
  switch (unit) {
    case 'mm':
      return preference.length
    case 'km':
      return preference.distance
    case 'kg':
      return massUnit(preference)
    case 'ml':
      return preference.volume ?? 'ml'
    case 'N·m':
      return preference.torque
    case 'N':
      return preference.torque === 'N·m' ? 'N' : 'lbf'
    default:
      return unit
  }
}
