import { inBothUnits, inUnit } from './present'
import type { UnitPreference } from './present'

const MEASURE = /(\d+(?:\.\d+)?) (N·m|kN|mm|kg)(?![\w·])/g

/**
 * Rewrites the measures in a sentence of the core for a reader: torque and force by the torque unit, lengths and masses by the length unit.
 * @example inReadersUnits('It stands at 12.0 N·m.', { torque: 'lbf·ft', length: 'in', distance: 'mi' }) // 'It stands at 106 lbf·in.'
 */
export function inReadersUnits(text: string, preference: UnitPreference): string {
  return text.replace(MEASURE, (written, digits: string, unit: 'N·m' | 'kN' | 'mm' | 'kg') => {
    const value = Number(digits)
    if (unit === 'kg') return preference.length === 'mm' ? written : `${Math.round(inUnit(value, 'kg', 'lb').value)} lb`
    if (unit === 'mm') return preference.length === 'mm' ? written : `${inUnit(value, 'mm', 'in').text} in`
    if (preference.torque === 'N·m') return written
    if (unit === 'kN') return `${Math.round(inUnit(value, 'kN', 'lbf').value / 10) * 10} lbf`
    const { main } = inBothUnits(value, preference)
    return `${main.text} ${main.unit}`
  })
}
