import { describe, expect, it } from 'vitest'
import { TestLog } from '../../../tests/support/job-log'
import { operation, smallPack } from '../../../tests/support/small-pack'
import type { Mating, Sheet } from '../../packs'
import { lastGap, matingCausesOf, matingChecks } from './mating'

const mating: Mating = {
  step: 'mate',
  gap: { reading: 'gap', closed: 'none', open: 'a gap' },
  approach: ['Level first.'],
  checks: [
    {
      id: 'dowels',
      title: 'Dowels',
      because: 'They center it.',
      reading: { step: 'look', id: 'dowels', good: ['both'] },
    },
    { id: 'gear', title: 'In gear', because: 'The splines turn.', done: 'gear' },
    {
      id: 'lines',
      title: 'Lines',
      because: 'What is trapped is cut.',
      answer: { sheet: 'around', field: 'lines', good: ['clear'] },
    },
    { id: 'elsewhere', title: 'Not here', because: 'Another layout.', done: 'nowhere' },
  ],
  causes: [
    {
      id: 'disc',
      title: 'Disc',
      prior: 0.5,
      even: 1.5,
      tilted: 0.5,
      todo: 'Set it.',
      signs: [{ notDone: 'gear', factor: 3, because: 'No gear.' }],
    },
    {
      id: 'dowel',
      title: 'Dowel',
      prior: 0.5,
      even: 0.5,
      tilted: 1.5,
      todo: 'Look.',
      signs: [{ reading: { step: 'look', id: 'dowels', is: ['bent'] }, factor: 6, because: 'Bent.' }],
    },
  ],
}
const around: Sheet = {
  id: 'around',
  title: 'Around',
  row: 'centre',
  drawing: 'bell',
  steps: ['mate'],
  when: [],
  look: [],
  judges: [],
  schools: [],
  fields: [
    {
      id: 'lines',
      name: 'Lines',
      kind: 'choice',
      when: [],
      answers: [
        { id: 'clear', label: 'Clear', says: 'good' },
        { id: 'near', label: 'Near', says: 'renew', because: 'Tie it.' },
      ],
    },
  ],
}
const pack = smallPack(
  {
    operations: [
      operation('look', {
        readings: [{ id: 'dowels', name: 'Dowels', kind: 'choice', choices: ['both', 'bent'], required: true }],
      }),
      operation('gear', {}),
      operation('mate', {
        readings: [
          { id: 'gap', name: 'Gap', kind: 'choice', choices: ['none', 'a gap'], stops: ['a gap'], required: true },
        ],
      }),
    ],
  },
  { bench: { sheets: [around], orientations: [], oldParts: [], reachable: [], mating } },
)
const open = () => TestLog.open(pack)
const gap = (...gaps: number[]) => ({
  diameterMm: 360,
  readings: gaps.map((gapMm, index) => ({ angleDeg: (index * 360) / gaps.length, gapMm })),
})

describe('mating', () => {
  it('knows from the log what is right, wrong and open, and asks nothing of other layouts', () => {
    const log = open()
    expect(matingChecks(log.state).map(({ check, stand }) => [check.id, stand])).toEqual([
      ['dowels', 'open'],
      ['gear', 'open'],
      ['lines', 'open'],
    ])
    log.add('reading-taken', { stepId: 'look', readingId: 'dowels', value: 'bent', unit: null }).done('gear')
    log.add('sheet-read', { sheetId: 'around', values: { lines: { kind: 'choice', answer: 'near' } }, cleared: [] })
    expect(matingChecks(log.state).map(({ stand }) => stand)).toEqual(['wrong', 'right', 'wrong'])
  })
  it('ranks causes by the gap and by what the log knows; they add up to one', () => {
    const log = open().add('gap-measured', gap(4, 4, 4, 4))
    expect(lastGap(log.state)!.pattern).toBe('even')
    const even = matingCausesOf(log.state)
    expect(even.map(cause => cause.id)).toEqual(['disc', 'dowel'])
    expect(even[0]!.because).toEqual(['No gear.'])
    expect(even.reduce((sum, cause) => sum + cause.probability, 0)).toBeCloseTo(1, 12)
    expect(even[0]!.probability).toBeCloseTo((0.5 * 1.5 * 3) / (0.5 * 1.5 * 3 + 0.5 * 0.5), 12)
    log
      .done('gear')
      .add('reading-taken', { stepId: 'look', readingId: 'dowels', value: 'bent', unit: null })
      .add('gap-measured', gap(6, 3, 0, 3))
    expect(lastGap(log.state)!.pattern).toBe('tilted')
    expect(matingCausesOf(log.state)[0]).toMatchObject({ id: 'dowel', because: ['Bent.'] })
  })
  it('lets nobody say that the faces meet while the last gap measured says otherwise', () => {
    const log = open().add('gap-measured', gap(4, 4, 4, 4))
    expect(log.state.readings.at(-1)).toMatchObject({ stepId: 'mate', readingId: 'gap', value: 'a gap' })
    expect(log.refusal('reading-taken', { stepId: 'mate', readingId: 'gap', value: 'none', unit: null })).toContain(
      '{4.0 mm} at its widest',
    )
    expect(log.refusal('step-done', { stepId: 'mate' })).toContain('a gap')
    log.add('gap-measured', gap(0, 0, 0, 0.05))
    expect(log.refusal('step-done', { stepId: 'mate' })).toBeNull()
  })
  it('takes a job that measured nothing at its word, and refuses a gap that is none', () => {
    const log = open()
    expect(log.refusal('reading-taken', { stepId: 'mate', readingId: 'gap', value: 'none', unit: null })).toBeNull()
    expect(
      log.refusal('gap-measured', {
        diameterMm: 360,
        readings: [
          { angleDeg: 0, gapMm: 1 },
          { angleDeg: 0, gapMm: 1 },
          { angleDeg: 360, gapMm: 1 },
        ],
      }),
    ).toContain('three different places')
  })
})
