import type { SheetValues } from '../../../bench/values'
import type { SheetField } from '../../../pack/sheets'
import type { JobState } from '../../chapters'
import { refuse } from '../../log/chapter'
import type { Refusal } from '../../log/chapter'
import type { BenchEvents } from '.'

/** Why a sheet cannot be filled in like this: it does not ask for that, or not in that kind. */
export function sheetRefused(state: JobState, { sheetId, values, cleared }: BenchEvents['sheet-read']): Refusal | null {
  const sheet = state.procedure?.bench.sheets.find(entry => entry.id === sheetId)
  if (!sheet) return refuse('payload.sheetId', `This job has no sheet "${sheetId}".`)
  return valuesRefused(sheet.fields, values, cleared)
}

/** Why values do not go into some fields. */
export function valuesRefused(fields: SheetField[], values: SheetValues, cleared: string[]): Refusal | null {
  const unknown = [...Object.keys(values), ...cleared].find(id => !fields.some(field => field.id === id))
  if (unknown !== undefined) return refuse(`payload.values.${unknown}`, 'This sheet does not ask for that.')
  for (const field of fields) {
    const value = values[field.id]
    if (!value) continue
    if (value.kind !== field.kind)
      return refuse(`payload.values.${field.id}.kind`, `A value of ${field.kind} is wanted.`)
    if (
      field.kind === 'choice' &&
      value.kind === 'choice' &&
      !field.answers.some(answer => answer.id === value.answer)
    ) {
      return refuse(
        `payload.values.${field.id}.answer`,
        `One of: ${field.answers.map(answer => answer.id).join(', ')}.`,
      )
    }
  }
  return null
}
