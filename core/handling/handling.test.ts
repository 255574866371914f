import { describe, expect, it } from 'vitest'
import { clearance, liftingIndex, standLoads, supportLoads, tilt, tiltWindow } from '.'
import type { CarOnStands, Lift } from '.'

const lift: Lift = {
  massKg: 20,
  horizontalCm: 25,
  verticalCm: 75,
  travelCm: 25,
  asymmetryDeg: 0,
  liftsPerMinute: 0.2,
  durationHours: 1,
  coupling: 'good',
}

describe('liftingIndex', () => {
  it('allows 51 lb, 23 kg, in the best of postures and nothing out of reach', () => {
    expect(liftingIndex({ ...lift, verticalCm: 76.2 }).limitKg).toBeCloseTo(51 * 0.45359237, 9)
    expect(liftingIndex({ ...lift, horizontalCm: 64 })).toMatchObject({ limitKg: 0, index: Infinity })
    expect(liftingIndex({ ...lift, asymmetryDeg: 140 }).limitKg).toBe(0)
    expect(liftingIndex({ ...lift, liftsPerMinute: 16 }).limitKg).toBe(0)
  })
  it('falls with every step away from it', () => {
    for (const worse of [
      { horizontalCm: 40 },
      { verticalCm: 10 },
      { verticalCm: 150 },
      { travelCm: 100 },
      { asymmetryDeg: 45 },
      { liftsPerMinute: 3 },
      { durationHours: 8 },
      { coupling: 'poor' as const },
    ]) {
      expect(liftingIndex({ ...lift, ...worse }).limitKg, JSON.stringify(worse)).toBeLessThan(
        liftingIndex(lift).limitKg,
      )
    }
  })
  it('refuses what is no lift, at its field', () => {
    expect(() => liftingIndex({ ...lift, massKg: -1 })).toThrow('massKg')
    expect(() => liftingIndex({ ...lift, durationHours: 9 })).toThrow('durationHours')
    expect(() => liftingIndex({ ...lift, coupling: 'sticky' as never })).toThrow('coupling')
  })
})

describe('supportLoads', () => {
  const at = (id: string, xMm: number, yMm: number) => ({ id, xMm, yMm })
  it('shares by the lever between two supports', () => {
    const { loadsKg } = supportLoads(
      [{ id: 'box', massKg: 60, xMm: 400, yMm: 0 }],
      [at('hook', 0, 0), at('jack', 1000, 0)],
    )
    expect(loadsKg[0]).toBeCloseTo(36, 9)
    expect(loadsKg[1]).toBeCloseTo(24, 9)
  })
  it('lets go of a support that would have to pull', () => {
    const square = [at('a', 0, -700), at('b', 0, 700), at('c', 2000, -700), at('d', 2000, 700)]
    const found = supportLoads([{ id: 'car', massKg: 1000, xMm: 100, yMm: 500 }], square)
    expect(found.lifted).toEqual(['c'])
    expect(found.loadsKg.reduce((sum, load) => sum + load, 0)).toBeCloseTo(1000, 6)
    expect(found.tips).toBe(false)
  })
  it('says that it tips when the balance leaves its supports', () => {
    expect(
      supportLoads(
        [{ id: 'car', massKg: 1000, xMm: -50, yMm: 0 }],
        [at('a', 0, -700), at('b', 0, 700), at('c', 2000, 0)],
      ).tips,
    ).toBe(true)
  })
  it('refuses too few supports, and nothing to carry', () => {
    expect(() => supportLoads([{ id: 'm', massKg: 10, xMm: 0, yMm: 0 }], [at('a', 0, 0)])).toThrow('supports')
    expect(() => supportLoads([], [at('a', 0, 0), at('b', 1, 0)])).toThrow('masses')
  })
})

describe('standLoads', () => {
  const car: CarOnStands = {
    carKg: 1400,
    frontShare: 0.6,
    wheelbaseMm: 2600,
    trackMm: 1500,
    wheelsDown: ['rear'],
    stands: [
      { id: 'left', xMm: 400, yMm: -550, ratingKg: 2000 },
      { id: 'right', xMm: 400, yMm: 550, ratingKg: 2000 },
    ],
    removed: [{ id: 'box', massKg: 45, xMm: -100, yMm: -300 }],
  }
  it('gives axle loads and stands before and after, and the way the balance goes', () => {
    const report = standLoads(car)
    expect(report.axles.before[0]).toBeCloseTo(840, 6)
    expect(report.axles.after[0] + report.axles.after[1]).toBeCloseTo(1355, 6)
    expect(report.shiftMm).toBeGreaterThan(0)
    expect(report.stands[0]!.afterKg).toBeLessThan(report.stands[0]!.beforeKg)
    expect(report.verdict).toBe('safe')
  })
  it('calls a weak stand, a near edge and a car that tips', () => {
    expect(standLoads({ ...car, stands: car.stands.map(stand => ({ ...stand, ratingKg: 300 })) }).verdict).toBe('no')
    const both: CarOnStands = {
      ...car,
      wheelsDown: [],
      removed: [{ id: 'engine', massKg: 300, xMm: -200, yMm: 0 }],
      stands: [
        ...car.stands,
        { id: 'back-left', xMm: 1300, yMm: -550, ratingKg: 2000 },
        { id: 'back-right', xMm: 1300, yMm: 550, ratingKg: 2000 },
      ],
    }
    expect(standLoads(both)).toMatchObject({
      verdict: 'no',
      because: expect.stringContaining('tips once the part is out'),
    })
    expect(() => standLoads({ ...car, frontShare: 1.2 })).toThrow('frontShare')
  })
})

describe('room to get it out', () => {
  const room = {
    boxHeightMm: 380,
    saddleMm: 140,
    edgeMm: 240,
    standRangeMm: [280, 420] as [number, number],
    liftPointMm: 200,
  }
  it('adds box, jack and air, and turns about the axle that stays down', () => {
    expect(clearance(room)).toMatchObject({ neededMm: 550, liftMm: 310, verdict: 'low-stands' })
    expect(clearance({ ...room, edgeFromAxleMm: 3400, liftFromAxleMm: 2200 }).liftMm).toBeCloseTo(
      (310 * 2200) / 3400,
      9,
    )
    expect(clearance({ ...room, edgeFromAxleMm: 3400, liftFromAxleMm: 2200 }).verdict).toBe('enough')
    expect(clearance({ ...room, groundRisesMm: 40 }).neededMm).toBe(590)
    expect(clearance({ ...room, edgeMm: 700 }).verdict).toBe('not-needed')
    expect(() => clearance({ ...room, standRangeMm: [400, 300] })).toThrow('standRangeMm[1]')
  })
})

describe('engine tilt', () => {
  const points = [
    { name: 'upper bolts', xMm: 350, yMm: 260, along: 'y' as const, wantedMm: 40 },
    { name: 'intake at the bulkhead', xMm: 120, yMm: 420, along: 'x' as const, roomMm: 45 },
  ]
  it('turns every place about the mounts', () => {
    const report = tilt({ loweredMm: 100, behindMm: 1000 }, points)
    expect(report.angleDeg).toBeCloseTo((Math.asin(0.1) * 180) / Math.PI, 9)
    expect(report.movesMm[0]).toBeLessThan(0)
    expect(report.movesMm[1]).toBeGreaterThan(0)
    expect(report.leftMm).toEqual([null, expect.closeTo(45 - report.movesMm[1]!, 9)])
  })
  it('says how far is enough and how far too far', () => {
    const found = tiltWindow(1000, points)
    expect(Math.abs(tilt({ loweredMm: found.enoughMm!, behindMm: 1000 }, points).movesMm[0]!)).toBeCloseTo(40, 3)
    expect(tilt({ loweredMm: found.tooFarMm, behindMm: 1000 }, points).leftMm[1]).toBeCloseTo(0, 3)
    expect(found.touches).toBe('intake at the bulkhead')
    expect(tiltWindow(1000, [points[0]!, { ...points[1]!, roomMm: 10 }]).because).toContain('Free it first')
    expect(tiltWindow(1000, [{ ...points[0]!, wantedMm: 900 }]).enoughMm).toBeNull()
  })
})
