import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { alignment, bench, fasteners, fluids } from '../../core'
import type { SpringFacts } from '../../core/bench'

describe('spring rate', () => {
  it('is that of a handbook: no. 16 music wire, 12.5 turns with squared ends', () => {
    // Shigley, Mechanical Engineering Design, example of a compression spring of no. 16 music wire: d = 0.037 in, D = 0.400 in,
    // 10.5 active turns, G = 11.85 Mpsi, k = 4.13 lbf/in. From memory.
    const rateNmm = fasteners.springRate({
      wireMm: 0.037 * 25.4,
      coilDiameterMm: 0.4 * 25.4,
      activeCoils: 10.5,
      shearModulusMpa: 11.85e6 * 0.006894757,
    })
    expect(rateNmm / (4.4482216 / 25.4)).toBeCloseTo(4.13, 2)
  })
  it('is the force of a twisted wire: the energy of torsion gives the same', () => {
    // Castigliano by hand: deflection = ∫ T² / (2 G J) ds derived by F, T = F D / 2, length π D n, J = π d⁴ / 32.
    const [d, D, n, G] = [1.4, 11, 7, 79_300]
    const perNewton = ((D / 2) ** 2 * Math.PI * D * n) / (G * ((Math.PI * d ** 4) / 32))
    expect(fasteners.springRate({ wireMm: d, coilDiameterMm: D, activeCoils: n })).toBeCloseTo(1 / perNewton, 9)
  })
  it.each([
    [{ wireMm: 0, coilDiameterMm: 10, activeCoils: 5 }, 'wireMm'],
    [{ wireMm: 2, coilDiameterMm: 1.5, activeCoils: 5 }, 'coilDiameterMm'],
    [{ wireMm: 1, coilDiameterMm: 10, activeCoils: Number.NaN }, 'activeCoils'],
  ])('refuses %j at its field', (spring, path) => {
    expect(() => fasteners.springRate(spring)).toThrow(expect.objectContaining({ path }) as Error)
  })
})

describe('springs and their pockets', () => {
  const pockets: SpringFacts[] = [
    { id: 'k1', wireMm: 0.8, coilDiameterMm: 8, activeCoils: 9, freeLengthMm: 28, colour: 'white' },
    { id: 'k2', wireMm: 1, coilDiameterMm: 8, activeCoils: 9, freeLengthMm: 28.5, colour: 'blue' },
    { id: 'b1', wireMm: 1.2, coilDiameterMm: 11, activeCoils: 7, freeLengthMm: 35 },
  ]
  it('knows a spring by its wire where its length says nothing', () => {
    const [found] = bench.matchSprings(pockets, [{ id: 'loose', wireMm: 0.98, freeLengthMm: 28.2 }])
    expect(found).toMatchObject({ pocket: 'k2' })
    expect(found!.share).toBeGreaterThan(0.99)
  })
  it('is less sure where two are alike, and surer once the other one lies beside it', () => {
    const alike: SpringFacts[] = [
      { id: 'a', wireMm: 1, freeLengthMm: 30 },
      { id: 'b', wireMm: 1, freeLengthMm: 31 },
    ]
    const [alone] = bench.matchSprings(alike, [{ id: 'x', freeLengthMm: 30.3 }])
    const [beside] = bench.matchSprings(alike, [
      { id: 'x', freeLengthMm: 30.3 },
      { id: 'y', freeLengthMm: 31.6 },
    ])
    expect(alone!.pocket).toBe('a')
    expect(beside!.share).toBeGreaterThan(alone!.share)
  })
  it('puts a spring of another car nowhere', () => {
    const [found] = bench.matchSprings(pockets, [{ id: 'odd', wireMm: 2.4, coilDiameterMm: 20, freeLengthMm: 60 }])
    expect(found!.pocket).toBeNull()
    expect(found!.share).toBeGreaterThan(0.9)
  })
  it('agrees with looking at every way of putting them away, one by one', () => {
    const length = fc.double({ min: 20, max: 24, noNaN: true })
    fc.assert(
      fc.property(
        fc.array(length, { minLength: 1, maxLength: 4 }),
        fc.array(length, { minLength: 1, maxLength: 4 }),
        (p, f) => {
          const spring = (id: string, freeLengthMm: number) => ({ id, freeLengthMm })
          const found = bench.matchSprings(
            p.map((at, index) => spring(`p${index}`, at)),
            f.map((at, index) => spring(`f${index}`, at)),
          )
          // The same errors, told again: a normal one of 0.7 mm, and e⁻⁸ where it belongs nowhere.
          const weight = (from: number, to: number) => Math.exp(-(((to - from) / 0.7) ** 2) / 2)
          const share = p.map(() => f.map(() => 0))
          let total = 0
          const put = (index: number, taken: number[], product: number, into: (number | null)[]) => {
            if (index === f.length) {
              total += product
              into.forEach((pocket, at) => {
                if (pocket !== null) share[pocket]![at]! += product
              })
              return
            }
            put(index + 1, taken, product * Math.exp(-8), [...into, null])
            p.forEach((at, pocket) => {
              if (!taken.includes(pocket))
                put(index + 1, [...taken, pocket], product * weight(at, f[index]!), [...into, pocket])
            })
          }
          put(0, [], 1, [])
          for (const [index, match] of found.entries())
            for (const each of match.shares)
              expect(each.share).toBeCloseTo(share[Number(each.pocket.slice(1))]![index]! / total, 9)
        },
      ),
      { numRuns: 100 },
    )
  })
  it('refuses no pocket, too many, and a measure that is none', () => {
    expect(() => bench.matchSprings([], [])).toThrow('At least one pocket')
    expect(() =>
      bench.matchSprings(
        Array.from({ length: 15 }, (_, index) => ({ id: `${index}` })),
        [],
      ),
    ).toThrow('14')
    expect(() => bench.matchSprings(pockets, [{ id: 'x', wireMm: -1 }])).toThrow('found[0].wireMm')
    expect(bench.matchSprings(pockets, [])).toEqual([])
  })
})

describe('the seat of a converter', () => {
  // 1/16 to 3/16 in, and 15 to 25 mm for the last drop: common practice, no source. Gaps by hand.
  it.each([
    [{ bellFaceToPadsMm: 30.5, engineFaceToFlexplateMm: 27.3 }, 3.2, 'good', 0],
    [{ bellFaceToPadsMm: 12, engineFaceToFlexplateMm: 27.3 }, -15.3, 'not-seated', 16.9],
    [{ bellFaceToPadsMm: 27.5, engineFaceToFlexplateMm: 27.3 }, 0.2, 'no-gap', 1.4],
    [{ bellFaceToPadsMm: 27.5, engineFaceToFlexplateMm: 27.3, dropsMm: [9, 8] }, 0.2, 'not-seated', 1.4],
    [{ bellFaceToPadsMm: 34, engineFaceToFlexplateMm: 27.3 }, 6.7, 'too-deep', 0],
    [{ bellFaceToPadsMm: 34, engineFaceToFlexplateMm: 27.3, windowMm: [5, 8] as [number, number] }, 6.7, 'good', 0],
    [{ bellFaceToPadsMm: 27.3 + 1.6, engineFaceToFlexplateMm: 27.3, dropsMm: [10, 9, 18] }, 1.6, 'good', 0],
  ] as const)('of %j leaves %d mm: %s', (measured, gapMm, verdict, missingMm) => {
    const found = alignment.converterSeat(measured as Parameters<typeof alignment.converterSeat>[0])
    expect(found.gapMm).toBeCloseTo(gapMm, 9)
    expect(found.verdict).toBe(verdict)
    expect(found.missingMm).toBeCloseTo(missingMm, 9)
  })
  it('refuses a window that ends before it begins, and a depth that is none', () => {
    const measured = { bellFaceToPadsMm: 30, engineFaceToFlexplateMm: 27 }
    expect(() => alignment.converterSeat({ ...measured, windowMm: [4, 2] })).toThrow('windowMm')
    expect(() => alignment.converterSeat({ ...measured, bellFaceToPadsMm: Number.NaN })).toThrow('bellFaceToPadsMm')
  })
})

describe('the level at an overflow', () => {
  it('grows by V β ΔT, the definition of the expansion of a volume', () => {
    // 6 l × 0.0009 / K × 20 K = 108 ml.
    const found = fluids.overflowLevel({ litresInBox: 6, temperatureC: 15, windowC: [35, 45] })
    expect(found.verdict).toBe('too-cold')
    expect(found.spillMl).toBeCloseTo(108, 9)
    // Between β 0.0008 and 0.001: common practice, no source.
    expect(
      fluids.overflowLevel({ litresInBox: 6, temperatureC: 55, windowC: [35, 45], expansionPerK: 0.001 }),
    ).toMatchObject({
      verdict: 'too-hot',
      spillMl: 60,
    })
    expect(
      fluids.overflowLevel({ litresInBox: 6, temperatureC: 40, windowC: [35, 45], overfillMl: 500 }),
    ).toMatchObject({
      verdict: 'right',
      spillMl: 500,
    })
  })
  it('never falls as it gets colder below the window, nor as it gets hotter above it', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -20, max: 34, noNaN: true }),
        fc.double({ min: 0, max: 10, noNaN: true }),
        (t, by) => {
          const spill = (temperatureC: number) =>
            fluids.overflowLevel({ litresInBox: 5, temperatureC, windowC: [35, 45] }).spillMl
          expect(spill(t - by)).toBeGreaterThanOrEqual(spill(t))
          expect(spill(80 - t + by)).toBeGreaterThanOrEqual(spill(80 - t))
        },
      ),
    )
  })
  it('refuses a window that ends before it begins', () => {
    expect(() => fluids.overflowLevel({ litresInBox: 6, temperatureC: 40, windowC: [45, 35] })).toThrow('windowC')
  })
})

describe('a flush', () => {
  it('counts what goes through by what lines and cooler hold', () => {
    // By hand: 400 ml and 600 ml hold a litre.
    expect(fluids.flush({ lineMl: 400, coolerMl: 600, pumpedMl: 2500 })).toEqual({ turnovers: 2.5, enough: true })
    expect(fluids.flush({ lineMl: 400, coolerMl: 600, pumpedMl: 900 })).toEqual({ turnovers: 0.9, enough: false })
    expect(() => fluids.flush({ lineMl: 400, coolerMl: 0, pumpedMl: 900 })).toThrow('coolerMl')
  })
})
