import { describe, expect, it } from 'vitest'
import { figureInForce, figureProblem } from './figure'
import type { Figure, SourceKind } from './figure'

const figure = (torqueNm: number, sourceKind: SourceKind, more: Partial<Figure> = {}): Figure => ({
  group: 'cover-bolts',
  torqueNm,
  sourceKind,
  reference: 'Sheet 4',
  ...more,
})

describe('figureInForce', () => {
  it('lets the kit sheet outrank the vehicle book for parts of a kit, and only there', () => {
    const named = [figure(21, 'kit-sheet'), figure(25, 'vehicle-book')]
    expect(figureInForce(named, 'kit')?.figure.torqueNm).toBe(21)
    expect(figureInForce(named, 'vehicle')?.figure.torqueNm).toBe(25)
  })
  it('keeps what disagrees beside it, never averaged, and drops what agrees', () => {
    const named = [
      figure(20, 'trade-practice'),
      figure(25, 'vehicle-book'),
      figure(21, 'kit-sheet'),
      figure(21, 'measured'),
    ]
    expect(figureInForce(named, 'kit')?.others.map(other => other.torqueNm)).toEqual([25, 20])
  })
  it('takes the newest of one source', () => {
    expect(figureInForce([figure(20, 'kit-sheet'), figure(22, 'kit-sheet')], 'kit')).toMatchObject({
      figure: { torqueNm: 22 },
      others: [],
    })
    expect(figureInForce([], 'kit')).toBeNull()
  })
  it('lets a computed figure give way to any source', () => {
    expect(figureInForce([figure(14, 'computed'), figure(19, 'trade-practice')], 'vehicle')).toMatchObject({
      figure: { torqueNm: 19 },
      others: [],
    })
  })
})

describe('figureProblem', () => {
  it.each([
    [figure(0, 'kit-sheet'), 'torqueNm'],
    [figure(900, 'kit-sheet'), 'torqueNm'],
    [figure(20, 'guess' as never), 'sourceKind'],
    [figure(20, 'kit-sheet', { reference: ' ' }), 'reference'],
    [figure(20, 'trade-practice', { borrowed: { group: 'flywheel-bolts', because: 'same' } }), 'borrowed.because'],
    [figure(20, 'kit-sheet', { stages: [{ kind: 'angle', angleDeg: 90 }] }), 'stages'],
    [
      figure(20, 'kit-sheet', {
        stages: [
          { kind: 'torque', torqueNm: 20 },
          { kind: 'angle', angleDeg: -90 },
        ],
      }),
      'stages[1].angleDeg',
    ],
    [
      figure(20, 'kit-sheet', {
        stages: [
          { kind: 'torque', torqueNm: 30 },
          { kind: 'torque', torqueNm: 20 },
        ],
      }),
      'stages[1].torqueNm',
    ],
    [
      figure(20, 'kit-sheet', {
        stages: [
          { kind: 'torque', torqueNm: 20 },
          { kind: 'wait', minutes: 0 },
        ],
      }),
      'stages[1].minutes',
    ],
    [figure(20, 'kit-sheet', { stages: [{ kind: 'torque', torqueNm: 14 }] }), 'stages'],
  ])('finds what is wrong with %o', (wrong, path) => {
    expect(figureProblem(wrong)?.path).toBe(path)
  })
  it('takes torque plus angle with its waits and laps', () => {
    expect(
      figureProblem(
        figure(60, 'vehicle-book', {
          stages: [
            { kind: 'torque', torqueNm: 14 },
            { kind: 'torque', torqueNm: 60 },
            { kind: 'wait', minutes: 5 },
            { kind: 'angle', angleDeg: 90 },
          ],
        }),
      ),
    ).toBeNull()
  })
})
