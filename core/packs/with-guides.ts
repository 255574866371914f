import type { BenchData } from '../pack/sheets'
import { AssemblyError } from './shelf'

/** Puts a layout's own rules of thumb into its sheets. @throws AssemblyError on a sheet or a field of numbers it does not have */
export function withGuides(bench: BenchData, guides: Record<string, Record<string, number>>): BenchData {
  for (const [sheetId, fields] of Object.entries(guides)) {
    const sheet = bench.sheets.find(entry => entry.id === sheetId)
    if (!sheet) throw new AssemblyError(`guides.${sheetId}`, `this layout has no sheet "${sheetId}"`)
    for (const [id, guide] of Object.entries(fields)) {
      const field = sheet.fields.find(entry => entry.id === id)
      if (field?.kind !== 'number')
        throw new AssemblyError(`guides.${sheetId}.${id}`, `the sheet asks for no number "${id}"`)
      if (guide < field.low || guide > field.high)
        throw new AssemblyError(`guides.${sheetId}.${id}`, `lies between ${field.low} and ${field.high}`)
    }
  }
  return {
    ...bench,
    sheets: bench.sheets.map(sheet => ({
      ...sheet,
      fields: sheet.fields.map(field => {
        const guide = guides[sheet.id]?.[field.id]
        return field.kind === 'number' && guide !== undefined ? { ...field, guide } : field
      }),
    })),
  }
}
