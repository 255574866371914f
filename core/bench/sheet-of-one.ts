import type { Sheet } from '../pack/sheets'

/** The sheet as it is filled in for one part: its own fields, and those that are asked of it alone. */
export function sheetOfOne(sheet: Sheet): Sheet {
  const { more } = sheet.beside!
  return { ...sheet, fields: [...sheet.fields, ...more.fields], judges: [...sheet.judges, ...more.judges] }
}
