import { inBothUnits, inUnit } from './present'
import type { UnitPreference } from './present'

const MEASURE = /(\d+(?:\.\d+)?) (N·m|kN|N|mm|kg|ml|km)(?![\w·])/g
const BOTTLE_ML = 250
type Written = 'N·m' | 'kN' | 'N' | 'mm' | 'kg' | 'ml' | 'km'

/** The unit of mass a reader likes: what was chosen, else the one that goes with the lengths. */
export function massUnit({ mass, length }: UnitPreference): 'kg' | 'lb' {
  return mass ?? (length === 'mm' ? 'kg' : 'lb')
}

/**
 * Rewrites the measures in a sentence of the core for a reader: torque and force by the torque unit, the rest each by its own.
 * @example inReadersUnits('It stands at 12.0 N·m.', { torque: 'lbf·ft', length: 'in', distance: 'mi' }) // 'It stands at 106 lbf·in.'
 */
export function inReadersUnits(text: string, preference: UnitPreference): string {
  return text.replace(MEASURE, (written, digits: string, unit: Written) => {
    const value = Number(digits)
    switch (unit) {
      case 'kg': return massUnit(preference) === 'kg' ? written : `${Math.round(inUnit(value, 'kg', 'lb').value)} lb`
      // What a reservoir or a bottle holds is told by its own scale.
      case 'ml': return (preference.volume ?? 'ml') === 'ml' || value < BOTTLE_ML ? written : `${inUnit(value, 'ml', 'US qt').text} US qt`
      case 'km': return preference.distance === 'km' ? written : `${Math.round(inUnit(value, 'km', 'mi').value)} mi`
      case 'mm': return preference.length === 'mm' ? written : `${inUnit(value, 'mm', 'in').text} in`
      case 'kN': return preference.torque === 'N·m' ? written : `${Math.round(inUnit(value, 'kN', 'lbf').value / 10) * 10} lbf`
      case 'N': return preference.torque === 'N·m' ? written : `${Math.round(inUnit(value, 'N', 'lbf').value)} lbf`
      case 'N·m': {
        if (preference.torque === 'N·m') return written
        const { main } = inBothUnits(value, preference)
        return `${main.text} ${main.unit}`
      }
    }
  })
}

/** The unit in which a reading kept in another is shown. */
export function readersUnit(unit: string, preference: UnitPreference): string {
  switch (unit) {
    case 'mm': return preference.length
    case 'km': return preference.distance
    case 'kg': return massUnit(preference)
    case 'ml': return preference.volume ?? 'ml'
    case 'N·m': return preference.torque
    case 'N': return preference.torque === 'N·m' ? 'N' : 'lbf'
    default: return unit
  }
}
