import { describe, expect, it } from 'vitest'
import type { Sheet, SheetField } from '../packs'
import { fieldsAsked, judgeSheet } from '.'
import type { FieldValue, SheetValues } from '.'
import { readingOf } from './readings-of'

const number = (value: number | null, entered = String(value)): FieldValue => ({
  kind: 'number',
  entry: { entered, value },
})
const points = (...values: number[]): FieldValue => ({
  kind: 'points',
  entries: values.map(value => ({ entered: String(value), value })),
})
const answer = (id: string): FieldValue => ({ kind: 'choice', answer: id })
const dial = (heights: number[]): FieldValue => ({
  kind: 'dial',
  entries: heights.map((value, index) => ({
    entered: value.toFixed(2),
    value,
    angleDeg: (index * 360) / heights.length,
  })),
})
const mm = (id: string, change: object = {}): SheetField =>
  ({ id, name: `The ${id}`, kind: 'number', unit: 'mm', low: 0, high: 40, when: [], ...change }) as SheetField

const disc: Sheet = {
  id: 'disc',
  title: 'Disc',
  row: 'measure',
  drawing: 'disc',
  steps: ['look'],
  when: [],
  look: [],
  schools: [],
  fields: [
    { id: 'thickness', name: 'Thickness', kind: 'points', unit: 'mm', low: 2, high: 40, atLeast: 3, when: [] },
    mm('new'),
    mm('minimum'),
    {
      id: 'oil',
      name: 'Oil',
      kind: 'choice',
      when: [],
      answers: [
        { id: 'dry', label: 'None', says: 'good' },
        {
          id: 'oily',
          label: 'Oily',
          says: 'renew',
          because: 'It does not wash out.',
          ignored: 'It slips.',
          renews: ['kit'],
        },
      ],
    },
  ],
  judges: [
    {
      kind: 'disc-wear',
      inputs: { thickness: 'thickness', new: 'new', minimum: 'minimum' },
      when: [],
      ignored: 'The rivets cut.',
      renews: ['kit'],
    },
  ],
}
const worn: SheetValues = { thickness: points(6.4, 6.3, 6.5), new: number(8.4), minimum: number(6) }

describe('judgeSheet', () => {
  it('says what is wanted first on an empty sheet, and nothing else', () => {
    expect(judgeSheet(disc, {})).toMatchObject({
      level: null,
      findings: [],
      wanted: ['Thickness', 'The new', 'The minimum'],
    })
  })
  it('asks the question that its computations hang on, and every one where it has no computation', () => {
    const [judge] = disc.judges
    const led: Sheet = {
      ...disc,
      fields: [
        { id: 'kind', name: 'Kind', kind: 'choice', when: [], answers: [{ id: 'dry', label: 'Dry', says: 'good' }] },
        ...disc.fields,
      ],
      judges: [{ ...judge!, if: { field: 'kind', is: ['dry'] } }],
    }
    expect(judgeSheet(led, { new: number(8) }).wanted).toEqual(['Kind'])
    expect(judgeSheet({ ...disc, judges: [] }, {}).wanted).toEqual(['Oil'])
  })
  it('computes as soon as every input is there, with its working', () => {
    const verdict = judgeSheet(disc, worn)
    expect(verdict).toMatchObject({ level: 'watch', wanted: [], renews: [] })
    expect(verdict.findings[0]!.working[1]).toContain('83 in 100')
    expect(verdict.findings[0]!.ignored).toBe('The rivets cut.')
  })
  it('puts the worst first and gathers what is to be renewed', () => {
    const verdict = judgeSheet(disc, { ...worn, oil: answer('oily') })
    expect(verdict.level).toBe('renew')
    expect(verdict.findings.map(finding => finding.level)).toEqual(['renew', 'watch'])
    expect(verdict.renews).toEqual(['kit'])
  })
  it('marks what cannot be right, keeps it, and computes without it', () => {
    const verdict = judgeSheet(disc, {
      ...worn,
      thickness: {
        kind: 'points',
        entries: [
          ...[6.4, 6.3, 6.5].map(value => ({ entered: String(value), value })),
          { entered: '0.25', value: 0.25 },
          { entered: 'worn', value: null },
        ],
      },
    })
    expect(verdict.marks.thickness!.map(mark => mark.index)).toEqual([3, 4])
    expect(verdict.marks.thickness![0]!.reason).toContain('As inches it would be {6.35 mm}')
    expect(verdict.findings[0]!.figures.find(entry => entry.name === 'thinnest')!.value).toBe(6.3)
  })
  it('gives no verdict on too few places, and says so', () => {
    const verdict = judgeSheet(disc, { ...worn, thickness: points(6.4, 6.3) })
    expect(verdict).toMatchObject({ level: null, wanted: ['Thickness'] })
    expect(verdict.marks.thickness).toEqual([{ index: null, reason: '2 of at least 3 places are measured.' }])
  })
  it('answers a minimum above the new thickness with its reason', () => {
    expect(judgeSheet(disc, { ...worn, minimum: number(9) }).findings[0]!.sentence).toContain(
      'below the thickness when new',
    )
  })
})

describe('guides, dials and questions that follow from others', () => {
  const wheel: Sheet = {
    ...disc,
    id: 'wheel',
    title: 'Wheel',
    fields: [
      {
        id: 'kind',
        name: 'Kind',
        kind: 'choice',
        when: [],
        answers: [
          { id: 'single', label: 'Single-mass', says: 'good' },
          { id: 'dual', label: 'Dual-mass', says: 'good' },
        ],
      },
      { id: 'dial', name: 'Runout', kind: 'dial', when: [] },
      mm('limit', { guide: 0.15 }),
      mm('thickness', { if: { field: 'kind', is: ['single'] } }),
      mm('least', { if: { field: 'kind', is: ['single'] } }),
    ],
    judges: [
      { kind: 'face-runout', inputs: { dial: 'dial', limit: 'limit' }, when: [], renews: ['wheel'] },
      {
        kind: 'machining-left',
        inputs: { thickness: 'thickness', minimum: 'least', dial: 'dial' },
        when: [],
        if: { field: 'kind', is: ['single'] },
        renews: ['wheel'],
      },
    ],
  }
  const saddle = Array.from({ length: 8 }, (_, index) => 0.12 * Math.cos((index * Math.PI) / 2))
  const tilt = Array.from({ length: 8 }, (_, index) => 0.12 * Math.cos((index * Math.PI) / 4))
  it('takes a rule of thumb where nothing was entered, and says that it is one', () => {
    const { findings } = judgeSheet(wheel, { dial: dial(saddle) })
    expect(findings[0]).toMatchObject({ level: 'renew', renews: ['wheel'] })
    expect(findings[0]!.sentence).toContain('common practice and not this car’s figure')
    expect(judgeSheet(wheel, { dial: dial(saddle), limit: number(0.3) }).findings[0]!.sentence).not.toContain(
      'common practice',
    )
  })
  it('tells dirt from warp: the one is cleaned, the other machined', () => {
    expect(judgeSheet(wheel, { dial: dial(tilt) }).findings[0]).toMatchObject({
      level: 'watch',
      sentence: expect.stringContaining('clean the seat'),
    })
    expect(judgeSheet(wheel, { dial: dial(saddle) }).findings[0]!.sentence).toContain('machined')
  })
  it('asks and computes only what the answer calls for', () => {
    expect(fieldsAsked(wheel, { kind: answer('dual') }).map(field => field.id)).toEqual(['kind', 'dial', 'limit'])
    const values = { kind: answer('single'), dial: dial(saddle), thickness: number(25), least: number(24.9) }
    expect(judgeSheet(wheel, values).findings.map(finding => finding.judge)).toContain('machining-left')
    expect(judgeSheet(wheel, { ...values, kind: answer('dual') }).findings.map(finding => finding.judge)).not.toContain(
      'machining-left',
    )
  })
  it('gives a step’s reading: the lowest of several, the words of an answer, nothing of what is marked', () => {
    const [thickness, , , oil] = disc.fields
    expect(readingOf(thickness!, points(6.4, 6.2, 50))).toEqual({ value: 6.2, unit: 'mm' })
    expect(readingOf(oil!, answer('oily'))).toEqual({ value: 'Oily', unit: null })
    expect(readingOf(mm('new'), number(null, 'worn'))).toBeNull()
  })
})
