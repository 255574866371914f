import { describe, expect, it } from 'vitest'
import { crossPattern } from './cross-pattern'
import type { Figure } from './figure'
import { keepReading, samplesOf } from './feel'
import { readTightening } from './read-tightening'
import { aroundOrder, looseningPasses, tighteningPasses } from './tightening-passes'

const bell = [
  { x: 0, y: 180 },
  { x: 110, y: 140 },
  { x: 170, y: 40 },
  { x: 60, y: -160 },
  { x: -150, y: -60 },
]
const figure = (stages: Figure['stages'], torqueNm = 60): Figure => ({
  group: 'g',
  torqueNm,
  sourceKind: 'vehicle-book',
  reference: 'Sheet',
  stages,
})

describe('tighteningPasses', () => {
  it('spreads over an irregular bell and laps it clockwise', () => {
    const passes = tighteningPasses(bell, 40)
    expect(passes.map(pass => pass.kind)).toEqual(['contact', 'part', 'full', 'check'])
    expect(passes[3]!.order).toEqual([0, 1, 2, 3, 4])
    expect(passes[0]!.order[1]).toBe(3)
    expect(aroundOrder([...bell].reverse())).toEqual([0, 4, 3, 2, 1])
  })
  it('follows the stages of its source, with the wait before the stage after it', () => {
    const passes = tighteningPasses(
      6,
      figure([
        { kind: 'torque', torqueNm: 14 },
        { kind: 'torque', torqueNm: 60 },
        { kind: 'wait', minutes: 5 },
        { kind: 'angle', angleDeg: 90 },
      ]),
    )
    expect(passes.map(({ kind, torqueNm, angleDeg, waitMinutes }) => [kind, torqueNm, angleDeg, waitMinutes])).toEqual([
      ['contact', null, undefined, undefined],
      ['part', 14, undefined, undefined],
      ['full', 60, undefined, undefined],
      ['angle', null, 90, 5],
    ])
  })
  it('goes as the source wants it: round, or from the middle of a pan outwards', () => {
    const pan = [
      [-150, 60],
      [0, 60],
      [150, 60],
      [150, -60],
      [0, -60],
      [-150, -60],
    ].map(([x, y]) => ({ x: x!, y: y! }))
    const order = (pattern: Figure['pattern'], bolts: Parameters<typeof tighteningPasses>[0] = pan) =>
      tighteningPasses(bolts, { ...figure(undefined, 9), pattern })[0]!.order
    expect(order('middle-out').slice(0, 2).sort()).toEqual([1, 4])
    expect(order('round')).toEqual([0, 1, 2, 3, 4, 5])
    expect(order('round', 6)).toEqual([0, 1, 2, 3, 4, 5])
    expect(order('middle-out', 6)).toEqual(crossPattern(6))
  })
  it('adds no second lap where the source has one', () => {
    expect(
      tighteningPasses(6, figure([{ kind: 'torque', torqueNm: 60 }, { kind: 'lap' }])).map(pass => pass.kind),
    ).toEqual(['contact', 'part', 'full', 'check'])
  })
})

describe('looseningPasses', () => {
  it('eases crosswise twice before any comes out', () => {
    const passes = looseningPasses(6)
    expect(passes.map(pass => pass.kind)).toEqual(['ease', 'ease', 'out'])
    expect(passes.every(pass => pass.order.join() === crossPattern(6).join())).toBe(true)
    expect(() => looseningPasses(2)).toThrow('3 to 24')
  })
})

describe('keepReading', () => {
  it('keeps a curve short and still fit to be a sibling', () => {
    const curve = Array.from({ length: 2000 }, (_, index) => ({
      angleDeg: index * 0.5,
      torqueNm: 0.5 + Math.max(0, index * 0.5 - 900) * 0.3,
    })).filter(sample => sample.torqueNm <= 24.2)
    const kept = keepReading('good', curve)
    expect(kept.curve.length).toBeLessThanOrEqual(300)
    expect(kept.angleDeg).toBe(curve.at(-1)!.angleDeg)
    const early = curve
      .filter(sample => sample.angleDeg > 300)
      .map(sample => ({ ...sample, angleDeg: sample.angleDeg - 300 }))
    expect(readTightening(early, { targetNm: 24, siblings: [samplesOf(kept), samplesOf(kept)] }).verdict).toBe('early')
    expect(readTightening(curve, { targetNm: 24, siblings: [samplesOf(kept)] }).verdict).toBe('good')
  })
})
