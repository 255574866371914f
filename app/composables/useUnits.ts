import { measured } from '../../core/say'
import { inBothUnits, inUnit, massUnit, readersUnit } from '../../core/units'
import type { UnitId, UnitPreference } from '../../core/units'

const metric: UnitPreference = { torque: 'N·m', length: 'mm', distance: 'km' }

/** Figures in the units the garage reads. */
export function useUnits() {
  const store = useGarageStore()
  const t = useTerms()
  const preference = computed(() => store.garage?.units ?? metric)
  return {
    preference,
    torque: (torqueNm: number) => inBothUnits(torqueNm, preference.value),
    force: (newton: number) =>
      preference.value.torque === 'N·m'
        ? `${(newton / 1000).toFixed(1)} kN`
        : `${Math.round(inUnit(newton, 'N', 'lbf').value / 10) * 10} lbf`,
    /** A quantity by itself, kept in a unit of the core, as this garage reads it. */
    measure: (value: number, unit: string, digits?: number) => t(measured(value, unit, digits)),
    distance: (km: number) => {
      const { value, unit } = inUnit(km, 'km', preference.value.distance)
      return `${Math.round(value).toLocaleString(preference.value.numbers === 'comma' ? 'de' : 'en')} ${unit}`
    },
    mass: (kg: number) => {
      const { text, unit } = inUnit(kg, 'kg', massUnit(preference.value))
      return `${text} ${unit}`
    },
    /** The unit in which something kept in `unit` is typed and shown. */
    unitOf: (unit: string) => readersUnit(unit, preference.value),
    /** A reading kept in `unit`, as this garage reads it; lengths with what they are in the other unit. */
    reading: (value: number, unit: string) => {
      const wanted = readersUnit(unit, preference.value)
      if (wanted === unit) return `${value} ${unit}`.trim()
      const shown = inUnit(value, unit as UnitId, wanted as UnitId)
      return unit === 'mm' ? `${shown.text} in (${value} mm)` : `${shown.text} ${shown.unit}`
    },
  }
}
