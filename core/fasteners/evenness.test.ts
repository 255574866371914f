import { describe, expect, it } from 'vitest'
import { crossPattern } from './cross-pattern'
import { clampSpread, drawDown } from './evenness'
import { solveLinear } from '../base/solve-linear'

const cover = {
  boltCount: 6,
  radiusMm: 110,
  gapMm: 2.5,
  springNPerMm: 900,
  seatNPerMm: 120_000,
  rimNPerMm: 40_000,
  boltNPerMm: 180_000,
}
const round = [0, 1, 2, 3, 4, 5]

describe('drawDown', () => {
  it('tilts a cover far more when bolt after bolt goes straight to its figure', () => {
    const atOnce = drawDown(
      cover,
      round.map(bolt => ({ bolt, preloadN: 10_000 })),
    )
    const staged = drawDown(
      cover,
      [500, 1000, 1500, 2000, 2600, 5000, 10_000].flatMap(preloadN =>
        crossPattern(6).map(bolt => ({ bolt, preloadN })),
      ),
    )
    const worst = (states: typeof staged) => Math.max(...states.map(state => state.tiltMm))
    expect(worst(staged)).toBeLessThan(worst(atOnce) * 0.6)
    expect(staged.at(-1)!.tiltMm).toBeLessThan(0.1)
  })
  it('takes load off the neighbours of the bolt that is turned', () => {
    const [, first, second] = drawDown({ ...cover, gapMm: 0 }, [
      { bolt: 0, preloadN: 8000 },
      { bolt: 3, preloadN: 8000 },
      { bolt: 1, preloadN: 8000 },
    ])
    expect(second!.preloadN[0]).toBeLessThan(first!.preloadN[0]!)
    expect(second!.preloadN[1]).toBeCloseTo(8000, 3)
  })
  it('evens the clamp out with every lap', () => {
    const laps = [1, 2, 3].map(count =>
      clampSpread(
        drawDown(
          { ...cover, gapMm: 0 },
          Array.from({ length: count }, () => crossPattern(6))
            .flat()
            .map(bolt => ({ bolt, preloadN: 8000 })),
        ).at(-1)!.preloadN,
      ),
    )
    expect(laps[1]).toBeLessThan(laps[0]!)
    expect(laps[2]).toBeLessThanOrEqual(laps[1]!)
  })
  it('refuses parts and steps it cannot compute with', () => {
    expect(() => drawDown({ ...cover, boltCount: 2.5 }, [])).toThrow('boltCount')
    expect(() => drawDown({ ...cover, seatNPerMm: -1 }, [])).toThrow('seatNPerMm')
    expect(() => drawDown(cover, [{ bolt: 9, preloadN: 1 }])).toThrow('steps[0].bolt')
  })
})

describe('solveLinear', () => {
  it('refuses what has no single solution', () => {
    expect(() =>
      solveLinear(
        [
          [1, 2],
          [2, 4],
        ],
        [1, 2],
      ),
    ).toThrow('no single solution')
    expect(() => solveLinear([[1, 2]], [1, 2])).toThrow('not square')
  })
})
