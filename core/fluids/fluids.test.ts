import { describe, expect, it } from 'vitest'
import { blend, bottles, drained, syringeStrokes } from '.'

describe('bottles', () => {
  it('are bought whole, with least left over', () => {
    expect(bottles({ needMl: 1900, sizes: [{ ml: 1000 }] })).toMatchObject({
      bottles: [{ ml: 1000, count: 2 }],
      leftMl: 100,
    })
    expect(bottles({ needMl: 2400, sizes: [{ ml: 1000 }, { ml: 500 }] }).bottles).toEqual([
      { ml: 1000, count: 2 },
      { ml: 500, count: 1 },
    ])
  })
  it('are the cheapest where prices are known, even if more is left', () => {
    expect(
      bottles({
        needMl: 2400,
        sizes: [
          { ml: 1000, price: 10 },
          { ml: 500, price: 9 },
          { ml: 5000, price: 28 },
        ],
      }),
    ).toMatchObject({ bottles: [{ ml: 5000, count: 1 }], price: 28 })
  })
  it('are none where the shelf holds enough', () => {
    expect(bottles({ needMl: 800, sizes: [{ ml: 1000 }], onShelfMl: 900 })).toMatchObject({
      bottles: [],
      boughtMl: 0,
      leftMl: 100,
    })
  })
  it('agree with every combination tried', () => {
    for (let needMl = 100; needMl <= 5200; needMl += 370) {
      const sizes = [
        { ml: 1000, price: 11 },
        { ml: 500, price: 6.4 },
        { ml: 4000, price: 39 },
      ]
      let least = Infinity
      for (let a = 0; a <= 6; a++)
        for (let b = 0; b <= 11; b++)
          for (let c = 0; c <= 2; c++)
            if (a * 1000 + b * 500 + c * 4000 >= needMl) least = Math.min(least, a * 11 + b * 6.4 + c * 39)
      expect(bottles({ needMl, sizes }).price).toBeCloseTo(least, 9)
    }
  })
  it('refuse an amount or a bottle that is none', () => {
    expect(() => bottles({ needMl: -1, sizes: [{ ml: 1000 }] })).toThrow('needMl')
    expect(() => bottles({ needMl: 100, sizes: [] })).toThrow('sizes')
    expect(() => bottles({ needMl: 100, sizes: [{ ml: 0 }] })).toThrow('sizes[0].ml')
  })
})

describe('what came out', () => {
  it('explains bad shifting when it is low', () => {
    expect(drained({ outMl: 1200, capacityMl: 1900 })).toMatchObject({
      low: true,
      because: expect.stringContaining('Only 63 in 100'),
    })
    expect(drained({ outMl: 1850, capacityMl: 1900 })).toMatchObject({
      low: false,
      share: expect.closeTo(1850 / 1900, 12),
    })
    expect(() => drained({ outMl: 100, capacityMl: 0 })).toThrow('capacityMl')
  })
  it('goes back in whole strokes', () => {
    expect(syringeStrokes(1900, 500)).toBe(4)
    expect(syringeStrokes(2000, 500)).toBe(4)
    expect(() => syringeStrokes(100, 0)).toThrow('strokeMl')
  })
})

describe('blend', () => {
  const kind = (share: number, change = {}) => ({ share, bottleMl: 1000, onShelfMl: 0, ...change })
  it('buys each kind of a filling in whole bottles of its own', () => {
    const [first, second] = blend(1900, [kind(0.7), kind(0.3, { bottleMl: 500, onShelfMl: 100 })]).parts
    expect([first!.ml, first!.boughtMl, first!.leftMl]).toEqual([1330, 2000, 670])
    // 570 ml of which 100 ml stand there: one bottle of 500 ml, 30 ml left.
    expect([second!.ml, second!.boughtMl, second!.leftMl]).toEqual([expect.closeTo(570), 500, expect.closeTo(30)])
  })
  it('refuses shares that make no whole', () => {
    expect(() => blend(1900, [kind(0.7), kind(0.2)])).toThrow('shares')
  })
})
