import { describe, expect, it } from 'vitest'
import { packs } from '../../core'
import { fieldOf } from '../../core/bench/field-of'
import { readingOf } from '../../core/bench/readings-of'
import { emptyJob } from '../../core/job/chapters'
import { noteOnSheets } from '../../core/job/chapters/bench/note-on-sheets'
import { pairwise } from '../support/pairwise'
import { shelf } from '../support/packs'

// Common practice, no source: nobody looks at the same seal twice to write it down twice.
describe.each([...shelf.packs.values()])('what is asked on a step and on a sheet of $id', pack => {
  const cases = pairwise(pack).map(({ options }) => packs.expandPack(pack, options))
  it('is the same question with the same answers, and stands in both wherever it was told', () => {
    let asked = 0
    for (const procedure of cases) {
      for (const sheet of procedure.bench.sheets) {
        for (const field of sheet.fields) {
          const spec = procedure.operations
            .find(operation => operation.id === field.reading?.step)
            ?.readings.find(reading => reading.id === field.reading!.id)
          if (!spec) continue
          asked++
          const where = `${sheet.id}.${field.id}`
          if (spec.kind === 'choice')
            expect(field.kind === 'choice' && field.answers.map(answer => answer.label).sort(), where).toEqual(
              [...spec.choices].sort(),
            )
          else expect('unit' in field && field.unit, where).toBe(spec.unit)
          for (const value of spec.kind === 'choice' ? spec.choices : [((spec.low ?? 0) + (spec.high ?? 10)) / 2]) {
            const state = { ...emptyJob(), procedure }
            noteOnSheets(
              state,
              { stepId: field.reading!.step, readingId: spec.id, value },
              '2026-03-02T08:00:00.000Z',
              'p',
            )
            const known = state.sheets[sheet.id]?.values[field.id]
            expect(known, `${where} ${value}`).toEqual(fieldOf(field, value))
            expect(known && readingOf(field, known)?.value, `${where} ${value}`).toBe(value)
          }
        }
      }
    }
    expect(asked).toBeGreaterThan(0)
  })
})
