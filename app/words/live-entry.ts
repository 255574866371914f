import type { SheetValues } from '../../core/bench'
import type { SheetField } from '../../core/packs'
import { convert, UnitError } from '../../core/units'
import type { UnitId } from '../../core/units'
import type { ReaderValue } from '../links/reader-link'

/** What a controller reader tells of the fields of a sheet, each in its own unit. A value in a unit that the field does not know is left out. */
export function liveValues(fields: readonly SheetField[], told: readonly ReaderValue[]): SheetValues {
  return Object.fromEntries(
    fields.flatMap(field => {
      const from = told.find(entry => entry.id === field.live?.value)
      const value = from?.[field.live?.of ?? 'value']
      if (field.kind !== 'number' || from === undefined || value === undefined) return []
      const inField = inUnit(value, from.unit, field.unit)
      if (inField === null) return []
      return [
        [field.id, { kind: 'number' as const, entry: { entered: `${value} ${from.unit}`.trim(), value: inField } }],
      ]
    }),
  )
}

function inUnit(value: number, from: string, to: string): number | null {
  if (from === to) return value
  try {
    return Math.round(convert(value, from as UnitId, to as UnitId) * 1e4) / 1e4
  } catch (error) {
    if (error instanceof UnitError) return null
    throw error
  }
}
