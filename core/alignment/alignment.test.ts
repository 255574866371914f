import { describe, expect, it } from 'vitest'
import {
  boreOffset,
  checkDial,
  clockOf,
  fitRunout,
  hubOffset,
  offsetDowels,
  pilotDepth,
  rimGaps,
  splineClock,
  toolFit,
} from '.'
import type { DialEntry, PilotStack } from '.'

const round = (count: number, height: (deg: number) => number) =>
  Array.from({ length: count }, (_, index) => ({
    angleDeg: (index * 360) / count,
    heightMm: height((index * 360) / count),
  }))
const cos = (deg: number) => Math.cos((deg * Math.PI) / 180)

describe('fitRunout', () => {
  it('finds a tilt with its place and no warp', () => {
    const found = fitRunout(round(8, deg => 0.3 + 0.1 * cos(deg - 70)))
    expect(found.meanMm).toBeCloseTo(0.3, 9)
    expect(found.tiltMm).toBeCloseTo(0.1, 9)
    expect(found.tiltAtDeg).toBeCloseTo(70, 6)
    expect(found.warpMm).toBeCloseTo(0, 9)
  })
  it('finds a saddle as warp and no tilt', () => {
    const found = fitRunout(round(12, deg => 0.08 * cos(2 * deg)))
    expect(found.tiltMm).toBeCloseTo(0, 9)
    expect(found.warpMm).toBeCloseTo(0.16, 9)
    expect(found.totalMm).toBeCloseTo(0.16, 9)
  })
  it('holds for places that are not evenly spaced', () => {
    const places = [0, 20, 75, 130, 160, 215, 290, 330]
    const found = fitRunout(places.map(angleDeg => ({ angleDeg, heightMm: 0.05 * cos(angleDeg - 200) - 0.02 })))
    expect(found.tiltMm).toBeCloseTo(0.05, 9)
    expect(found.tiltAtDeg).toBeCloseTo(200, 6)
  })
  it('refuses fewer than three angles, 0 and 360 being one, and what is no number', () => {
    expect(() =>
      fitRunout([
        { angleDeg: 0, heightMm: 0 },
        { angleDeg: 360, heightMm: 0 },
        { angleDeg: 90, heightMm: 1 },
      ]),
    ).toThrow(RangeError)
    expect(() => fitRunout(round(8, () => Number.NaN))).toThrow(RangeError)
  })
})

describe('a bore and its dowels', () => {
  it('lies off by half the total reading; the best dowels leave the least and point where it has to go', () => {
    const bore = boreOffset(round(8, deg => 0.2 * cos(deg - 90)))
    expect(bore.offsetMm).toBeCloseTo(0.2, 9)
    expect(bore.totalMm).toBeCloseTo(0.4, 9)
    expect(bore.outOfRoundMm).toBeCloseTo(0, 9)
    const advice = offsetDowels(bore, [0.18, 0.36, 0.53])
    expect(advice).toMatchObject({ dowelMm: 0.18 })
    expect(advice.leftTotalMm).toBeCloseTo(0.04, 9)
    expect(clockOf(advice.pointTo)).toBe("3 o'clock")
  })
  it('advises none that would make it worse', () => {
    expect(offsetDowels({ offsetMm: 0.1, atDeg: 0 }, [0.36])).toMatchObject({ dowelMm: null, leftMm: 0.1 })
  })
})

describe('checkDial', () => {
  const entries = (change: (list: DialEntry[]) => void = () => {}) => {
    const list = round(8, deg => 0.06 * cos(deg) + 0.02 * cos(2 * deg)).map(({ angleDeg, heightMm }) => ({
      angleDeg,
      heightMm,
      entered: heightMm.toFixed(2),
    })) as DialEntry[]
    change(list)
    return checkDial(list)
  }
  it('takes good readings as they are', () => {
    expect(entries()).toMatchObject({ marks: [], tooFew: null })
  })
  it('marks what is no number, has no angle, or stands far off, and leaves it out', () => {
    const found = entries(list => {
      list.push({ angleDeg: 22, heightMm: null, entered: '0.o4' }, { angleDeg: null, heightMm: 0.02, entered: '0.02' })
      list[3]!.heightMm = 1.2
    })
    expect(found.marks.map(mark => [mark.index, mark.fault])).toEqual([
      [3, 'outlier'],
      [8, 'no-number'],
      [9, 'no-angle'],
    ])
    expect(found.usable.map(reading => reading.index)).toEqual([0, 1, 2, 4, 5, 6, 7])
    expect(found.tooFew).toContain('7 of at least 8')
  })
  it('recognises a reading in thou', () => {
    expect(
      entries(list => {
        list[4]!.heightMm = -2
      }).marks[0],
    ).toMatchObject({ index: 4, fault: 'wrong-unit' })
  })
  it('keeps a high spot that was measured twice', () => {
    const high = (list: DialEntry[]) => {
      list[3]!.heightMm = 0.4
    }
    expect(entries(high).marks.map(mark => mark.fault)).toContain('outlier')
    expect(
      entries(list => {
        high(list)
        list.push({ angleDeg: 135, heightMm: 0.41, entered: '0.41' })
      }).marks.map(mark => mark.fault),
    ).toEqual(['twice'])
  })
  it('says that the gauge has moved when the start does not come back', () => {
    expect(entries(list => list.push({ angleDeg: 360, heightMm: 0.2, entered: '0.2' })).marks[0]).toMatchObject({
      index: 8,
      fault: 'not-returned',
    })
  })
  it('says where nothing was measured', () => {
    expect(
      checkDial(Array.from({ length: 8 }, (_, index) => ({ angleDeg: index * 20, heightMm: 0, entered: '0' }))).tooFew,
    ).toContain('220° are not measured')
  })
})

describe('centring', () => {
  it('counts turns of tape down, never so many that the tool drags', () => {
    expect(toolFit({ toolMm: 14.24, shaftMm: 15, tapeMm: 0.13 })).toEqual({
      radialPlayMm: expect.closeTo(0.38, 9),
      wraps: 2,
    })
    expect(toolFit({ toolMm: 14.74, shaftMm: 15, tapeMm: 0.13 }).wraps).toBe(1)
    expect(toolFit({ toolMm: 15.1, shaftMm: 15, tapeMm: 0.13 }).wraps).toBe(0)
    expect(() => toolFit({ toolMm: 14, shaftMm: 15, tapeMm: 0 })).toThrow('tapeMm')
  })
  it('mirrors the disc’s angle for who looks into the bell', () => {
    expect(splineClock({ splines: 24, discDeg: 10, shaftDeg: 350 })).toMatchObject({ meets: true })
    expect(splineClock({ splines: 24, discDeg: 10, shaftDeg: 346 }).turnDeg).toBeCloseTo(4, 9)
    expect(Math.abs(splineClock({ splines: 20, discDeg: 123, shaftDeg: 57 }).teeth)).toBeLessThanOrEqual(0.5)
  })
  it('lets the shaft’s play take the offset of two hubs', () => {
    expect(hubOffset({ frontPlayMm: 0.1, rearPlayMm: 0.2, splinePlayMm: 0.2 })).toMatchObject({
      offsetMm: expect.closeTo(0.15, 9),
      goesOn: true,
    })
    expect(hubOffset({ frontPlayMm: 0.4, rearPlayMm: 0.3, splinePlayMm: 0.2 }).goesOn).toBe(false)
  })
})

describe('pilotDepth', () => {
  const exact = (mm: number) => ({ mm, plusMinusMm: 0 })
  const stack = (change: Partial<PilotStack> = {}): PilotStack => ({
    shaftStandsOut: exact(30),
    faceToBellFace: exact(-10),
    pilotDepth: exact(4),
    pilotLength: exact(15),
    holeDepth: exact(28),
    tipLength: exact(20),
    ...change,
  })
  it('adds the stack up', () => {
    expect(pilotDepth(stack())).toMatchObject({ engagementMm: 15, roomMm: 4, verdict: 'right' })
    expect(pilotDepth(stack({ spacer: exact(6) }))).toMatchObject({ engagementMm: 10, verdict: 'right' })
  })
  it('calls too shallow what keeps the box from coming up, too deep what holds the tip only', () => {
    expect(pilotDepth(stack({ pilotDepth: exact(0), tipLength: exact(18) })).verdict).toBe('too-shallow')
    expect(pilotDepth(stack({ pilotDepth: exact(14) }))).toMatchObject({ engagementMm: 6, verdict: 'too-deep' })
  })
  it('adds tolerances at worst in full and by chance as squares', () => {
    const loose = (mm: number) => ({ mm, plusMinusMm: 0.5 })
    const fit = pilotDepth(stack({ shaftStandsOut: loose(24), faceToBellFace: loose(-10), pilotDepth: loose(4) }))
    expect(fit.worstMm).toEqual([expect.closeTo(8.5, 9), expect.closeTo(11.5, 9)])
    expect(fit.statisticalMm[1] - fit.engagementMm).toBeCloseTo(Math.sqrt(0.75), 9)
  })
  it('refuses a length that cannot be', () => {
    expect(() => pilotDepth(stack({ holeDepth: exact(Number.NaN) }))).toThrow('holeDepth.mm')
  })
})

describe('rimGaps', () => {
  it('moves the disc toward the widest gap, by half of what opposite gaps differ', () => {
    // By hand: 3 mm above and 1 mm below leave it 1 mm low; 2.5 mm right and 1.5 mm left half a millimetre to the left.
    const found = rimGaps([3, 2.5, 1, 1.5])
    expect(found.offsetMm).toBeCloseTo(Math.hypot(1, 0.5))
    expect(found.moveTowardDeg).toBeCloseTo((Math.atan2(0.5, 1) * 180) / Math.PI)
    expect([found.meanGapMm, found.restMm]).toEqual([2, expect.closeTo(0, 9)])
  })
  it('says how far gaps of a rim that is not round can be trusted', () => {
    const found = rimGaps([2.2, 1.8, 2.2, 1.8])
    expect([found.offsetMm, found.restMm]).toEqual([expect.closeTo(0, 9), expect.closeTo(0.2)])
  })
  it('finds the same offset from eight gaps as from four, whichever way the disc is moved', () => {
    for (const [e, phi] of [
      [0.3, 40],
      [0.8, 200],
      [0.1, 355],
    ] as const) {
      const gaps = (n: number) =>
        Array.from({ length: n }, (_, i) => 2 + e * Math.cos((((i * 360) / n - phi) * Math.PI) / 180))
      for (const n of [4, 8]) {
        const found = rimGaps(gaps(n))
        expect(found.offsetMm).toBeCloseTo(e)
        expect(found.moveTowardDeg).toBeCloseTo(phi)
      }
    }
  })
  it('refuses too few gaps, and one that is none', () => {
    expect(() => rimGaps([1, 2, 3])).toThrow('four places')
    expect(() => rimGaps([1, 2, 3, -1])).toThrow()
  })
})
