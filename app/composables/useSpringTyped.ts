import type { SpringMeasures } from '../../core/job'
import { readEntry, shownEntry } from '../words/read-entry'

export type SpringTyped = Record<keyof SpringMeasures, string>

const nothing = (): SpringTyped => ({ wireMm: '', coilDiameterMm: '', activeCoils: '', freeLengthMm: '', paint: '' })
const lengths = ['wireMm', 'coilDiameterMm', 'freeLengthMm'] as const

/** A spring as it is typed: in the reader's units, kept in mm; what was left empty was not measured. */
export function useSpringTyped(kept: () => SpringMeasures) {
  const units = useUnits()
  const entered = ref<SpringTyped>(nothing())
  // By what stands there: what is typed meanwhile stays, though something else of the body was kept.
  watch(
    () => JSON.stringify(kept()),
    () => {
      const measures = kept()
      const { preference } = units
      const shown = (value: number | undefined, unit: 'mm' | '') =>
        value === undefined ? '' : shownEntry({ entered: '', value }, unit, preference.value)
      entered.value = {
        ...nothing(),
        ...Object.fromEntries(lengths.map(id => [id, shown(measures[id], 'mm')])),
        activeCoils: measures.activeCoils === undefined ? '' : String(measures.activeCoils),
        paint: measures.paint ?? '',
      }
    },
    { immediate: true },
  )
  /** What was typed; `unread` says what is no number. */
  function read(): { measures: SpringMeasures; unread: string | null } {
    const measures: SpringMeasures = {}
    for (const id of [...lengths, 'activeCoils'] as const) {
      const text = entered.value[id].trim()
      if (text === '') continue
      const { value } = readEntry(text, id === 'activeCoils' ? '' : 'mm', units.preference.value)
      if (value === null || value <= 0) return { measures, unread: `“${text}” is no measure of a spring.` }
      measures[id] = value
    }
    const paint = entered.value.paint.trim()
    if (paint) measures.paint = paint
    return { measures, unread: null }
  }
  return { entered, read, clear: () => (entered.value = nothing()) }
}
