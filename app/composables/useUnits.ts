import { inBothUnits, inUnit } from '../../core/units'
import type { UnitId, UnitPreference } from '../../core/units'

const metric: UnitPreference = { torque: 'N·m', length: 'mm', distance: 'km' }

/** Figures in the units the garage reads. */
export function useUnits() {
  const store = useGarageStore()
  const preference = computed(() => store.garage?.units ?? metric)
  return {
    preference,
    torque: (torqueNm: number) => inBothUnits(torqueNm, preference.value),
    distance: (km: number) => {
      const { value, unit } = inUnit(km, 'km', preference.value.distance)
      return `${Math.round(value).toLocaleString('en')} ${unit}`
    },
    /** A reading kept in `unit`, as this garage reads it. */
    reading: (value: number, unit: string) => {
      if (unit !== 'mm' || preference.value.length === 'mm') return `${value} ${unit}`
      const shown = inUnit(value, unit as UnitId, 'in')
      return `${shown.text} in (${value} mm)`
    },
  }
}
