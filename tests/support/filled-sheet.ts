import type { FieldValue, SheetValues } from '../../core/bench'
import type { Sheet } from '../../core/packs'
import type { Chance } from '../../stand-ins/chance'

/** A value for every field, inside its bounds but for one in ten. */
export function fillIn(sheet: Sheet, chance: Chance): SheetValues {
  const entry = (low: number, high: number) => {
    const value = chance.next() < 0.1 ? high * 30 : chance.between(low, high)
    return chance.next() < 0.05 ? { entered: 'smudged', value: null } : { entered: value.toFixed(3), value }
  }
  return Object.fromEntries(
    sheet.fields
      .filter(() => chance.next() < 0.9)
      .map((field): [string, FieldValue] => {
        if (field.kind === 'number') return [field.id, { kind: 'number', entry: entry(field.low, field.high) }]
        if (field.kind === 'points')
          return [
            field.id,
            {
              kind: 'points',
              entries: Array.from({ length: 1 + Math.floor(chance.next() * 8) }, () => entry(field.low, field.high)),
            },
          ]
        if (field.kind === 'dial')
          return [
            field.id,
            {
              kind: 'dial',
              entries: Array.from({ length: Math.floor(chance.next() * 14) + 1 }, (_, index) => ({
                ...entry(-0.3, 0.3),
                angleDeg: chance.next() < 0.05 ? null : index * 30,
              })),
            },
          ]
        if (field.kind === 'choice') return [field.id, { kind: 'choice', answer: chance.pick(field.answers).id }]
        return [field.id, { kind: 'text', text: 'printed side out' }]
      }),
  )
}
