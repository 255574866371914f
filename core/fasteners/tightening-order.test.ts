import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { crossPattern } from './cross-pattern'
import { tighteningOrder } from './tightening-order'

const circle = (count: number, turn = 0.3, radius = 90) =>
  Array.from({ length: count }, (_, index) => {
    const angle = (2 * Math.PI * index) / count + turn
    return { x: 40 + radius * Math.cos(angle), y: radius * Math.sin(angle) }
  })

describe('tighteningOrder', () => {
  it('is the cross pattern on an even circle, wherever it lies', () => {
    for (const count of [3, 4, 5, 6, 8, 9, 10, 12]) expect(tighteningOrder(circle(count))).toEqual(crossPattern(count))
  })
  it('is the same whichever way round the bolts are counted', () => {
    for (const count of [5, 6, 8])
      expect(tighteningOrder(circle(count).map(({ x, y }) => ({ x, y: -y })))).toEqual(crossPattern(count))
  })
  it('finds the circle in whatever order its bolts are listed', () => {
    const points = circle(6)
    const shuffled = [3, 0, 5, 1, 4, 2].map(index => points[index]!)
    const order = tighteningOrder(shuffled).map(index => shuffled[index]!)
    expect(order[1]!.x - 40).toBeCloseTo(-(order[0]!.x - 40), 6)
    expect(order[3]!.y).toBeCloseTo(-order[2]!.y, 6)
  })
  it('goes over every bolt once and crosses over on any ring', () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: 4, maxLength: 16 }), gaps => {
        let angle = 0
        const total = gaps.reduce((sum, gap) => sum + gap + 0.3, 0)
        const points = gaps.map(gap => {
          angle += ((gap + 0.3) / total) * 2 * Math.PI
          return { x: 120 * Math.cos(angle), y: 150 * Math.sin(angle) }
        })
        const order = tighteningOrder(points)
        expect([...order].sort((a, b) => a - b)).toEqual(points.map((_, index) => index))
        const first = points[order[0]!]!
        const second = points[order[1]!]!
        const farthest = Math.max(...points.map(point => Math.hypot(point.x - first.x, point.y - first.y)))
        expect(Math.hypot(second.x - first.x, second.y - first.y)).toBeGreaterThan(farthest * 0.6)
      }),
    )
  })
  it('keeps what is tight nearer to balance than going round does', () => {
    const bell = [
      { x: 0, y: 180 },
      { x: 110, y: 140 },
      { x: 170, y: 40 },
      { x: 150, y: -90 },
      { x: 60, y: -160 },
      { x: -70, y: -150 },
      { x: -150, y: -60 },
      { x: -140, y: 90 },
    ]
    const worst = (order: number[]) => {
      let x = 0
      let y = 0
      return Math.max(
        ...order.map(index => {
          x += bell[index]!.x
          y += bell[index]!.y
          return Math.hypot(x, y)
        }),
      )
    }
    expect(worst(tighteningOrder(bell))).toBeLessThan(worst(bell.map((_, index) => index)) * 0.65)
  })
  it('takes nothing, one and two as they are, and refuses what is no place', () => {
    expect(tighteningOrder([])).toEqual([])
    expect(tighteningOrder([{ x: 1, y: 1 }])).toEqual([0])
    expect(() =>
      tighteningOrder([
        { x: 0, y: 0 },
        { x: Number.NaN, y: 0 },
      ]),
    ).toThrow('positions[1]')
    expect(() =>
      tighteningOrder([
        { x: 0, y: 0 },
        { x: 1, y: 0 },
        { x: 0, y: 0 },
      ]),
    ).toThrow('where bolt 1 is')
  })
})
