import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { matchBag } from './match-bag'
import type { BagBolts, BoltPlace } from './match-bag'

const place = (id: string, lengthMm: number, thread = 'M8×1.25'): BoltPlace => ({ id, lengthMm, thread })
const bolts = (lengthMm: number, count = 1, thread = 'M8×1.25'): BagBolts => ({ lengthMm, count, thread })

describe('a bag of bolts without a board', () => {
  it('goes by thread and length, each to its place', () => {
    const match = matchBag(
      [bolts(40, 2), bolts(65), bolts(40, 1, 'M10×1.5')],
      [place('a', 65), place('b', 40), place('c', 40, 'M10×1.5'), place('d', 40)],
    )
    expect(match.fits.map(({ place: { id }, bag }) => [id, bag]).sort()).toEqual([
      ['a', 1],
      ['b', 0],
      ['c', 2],
      ['d', 0],
    ])
    expect([match.empty, match.over]).toEqual([[], []])
  })
  it('says what is missing and what is over', () => {
    const match = matchBag([bolts(40, 3), bolts(90)], [place('a', 40), place('b', 55)])
    expect(match.empty.map(({ id }) => id)).toEqual(['b'])
    expect(match.over).toEqual([
      { bag: 0, count: 2 },
      { bag: 1, count: 1 },
    ])
  })
  it('fills as many as can be before it looks for the nearest', () => {
    // The nearest bolt for the first place would leave the second without one.
    const match = matchBag([bolts(41), bolts(39)], [place('a', 40.6), place('b', 42.4)])
    expect(match.empty).toHaveLength(1)
    const better = matchBag([bolts(41), bolts(39.2)], [place('a', 40.5), place('b', 42.4)])
    expect(better.fits.map(({ place: { id }, bag }) => [id, bag])).toEqual([
      ['a', 1],
      ['b', 0],
    ])
  })
  it('is never worse than the best of all ways to do it', () => {
    const length = fc.integer({ min: 30, max: 36 })
    fc.assert(
      fc.property(fc.array(length, { maxLength: 5 }), fc.array(length, { maxLength: 5 }), (have, want) => {
        const match = matchBag(
          have.map(lengthMm => bolts(lengthMm)),
          want.map((lengthMm, index) => place(String(index), lengthMm)),
        )
        const off = match.fits.reduce((sum, { offMm }) => sum + offMm, 0)
        expect([match.fits.length, off]).toEqual(bestOfAll(have, want))
        expect(match.fits.length + match.empty.length).toBe(want.length)
        expect(match.fits.length + match.over.reduce((sum, { count }) => sum + count, 0)).toBe(have.length)
        expect(new Set(match.fits.map(({ bag }) => bag)).size).toBe(match.fits.length)
      }),
    )
  })
})

/** Every way to give each place one of the bolts or none: the most filled, then the least off. */
function bestOfAll(have: number[], want: number[]): [number, number] {
  if (want.length === 0) return [0, 0]
  const [first, ...rest] = want
  return have.reduce<[number, number]>(
    (best, lengthMm, index) => {
      const off = Math.abs(lengthMm - first!)
      if (off > 1.5) return best
      const [filled, sum] = bestOfAll([...have.slice(0, index), ...have.slice(index + 1)], rest)
      const way: [number, number] = [filled + 1, sum + off]
      return way[0] > best[0] || (way[0] === best[0] && way[1] < best[1]) ? way : best
    },
    bestOfAll(have, rest),
  )
}
