import { describe, expect, it } from 'vitest'
import { figureProblem } from './figure'
import { nextBolt, runLength } from './run-progress'
import { tighteningPasses } from './tightening-passes'

describe('tighteningPasses', () => {
  const passes = tighteningPasses(6, 21)
  it('goes by hand, half, full, and once round', () => {
    expect(passes.map(pass => [pass.kind, pass.torqueNm])).toEqual([
      ['contact', null],
      ['part', 10.5],
      ['full', 21],
      ['check', 21],
    ])
    expect(passes[2]!.order).toEqual(passes[0]!.order)
    expect(passes[3]!.order).toEqual([0, 1, 2, 3, 4, 5])
  })
  it('refuses what is no run', () => {
    expect(() => tighteningPasses(2, 21)).toThrow('3 to 24')
    expect(() => tighteningPasses(6, 0)).toThrow('figure')
    expect(() => tighteningPasses(6, NaN)).toThrow('figure')
  })
  it('gives every turn of the wrench in order and then nothing', () => {
    const run = { passes }
    expect(runLength(run)).toBe(24)
    expect(nextBolt(run, 0)).toMatchObject({ passIndex: 0, bolt: 0, turnedInPass: 0 })
    expect(nextBolt(run, 7)).toMatchObject({ passIndex: 1, bolt: 3, turnedInPass: 1 })
    expect(nextBolt(run, 23)).toMatchObject({ passIndex: 3, bolt: 5 })
    expect(nextBolt(run, 24)).toBeNull()
  })
})

describe('figureProblem', () => {
  const good = { torqueNm: 21, sourceKind: 'kit-sheet', reference: 'Sheet 4' } as const
  it('takes a figure with a source', () => {
    expect(figureProblem(good)).toBeNull()
  })
  it.each([
    [{ torqueNm: 0 }, 'torqueNm'],
    [{ torqueNm: NaN }, 'torqueNm'],
    [{ torqueNm: 5423 }, 'torqueNm'],
    [{ sourceKind: 'guess' as never }, 'sourceKind'],
    [{ reference: '  ' }, 'reference'],
  ])('refuses %o', (change, path) => {
    expect(figureProblem({ ...good, ...change })?.path).toBe(path)
  })
})
