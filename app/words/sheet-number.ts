import type { SheetValues } from '../../core/bench'

/** The number that stands in a field of a sheet, or what is usual there. */
export function sheetNumber(values: SheetValues, id: string, usual: number): number {
  const value = values[id]
  return value?.kind === 'number' && value.entry.value !== null ? value.entry.value : usual
}
