import { describe, expect, it } from 'vitest'
import {
  concentricGap,
  discVerdict,
  dualMass,
  frictionTorque,
  launchHeat,
  machiningLeft,
  matchParts,
  releaseDemand,
  torqueCapacity,
  flywheelMatch,
} from '.'

describe('discVerdict', () => {
  const disc = { newMm: 8.4, minimumMm: 6 }
  it('gives the share worn from the mean and decides by the thinnest place', () => {
    expect(discVerdict({ ...disc, readingsMm: [7.2, 7.2, 7.2] })).toMatchObject({
      verdict: 'good',
      wornShare: expect.closeTo(0.5, 9),
      uneven: false,
    })
    expect(discVerdict({ ...disc, readingsMm: [6.6, 6.5, 6.7] }).verdict).toBe('worn')
    expect(discVerdict({ ...disc, readingsMm: [6.6, 5.9, 6.7] })).toMatchObject({ verdict: 'finished', uneven: true })
  })
  it('gives what is left at the rate so far, within a range', () => {
    const found = discVerdict({ ...disc, readingsMm: [7.2, 7.2, 7.2], distanceKm: 60_000 })
    expect(found.remainingKm).toBeCloseTo(60_000, 6)
    expect(found.remainingRangeKm![0]).toBeLessThan(60_000)
    expect(found.remainingRangeKm![1]).toBeGreaterThan(60_000)
  })
  it('says nothing of the distance while the wear is no more than the caliper may be off', () => {
    expect(discVerdict({ ...disc, readingsMm: [8.35, 8.38], distanceKm: 900 }).remainingKm).toBeUndefined()
  })
  it('refuses a minimum above the new one, no readings, and a reading in inches', () => {
    expect(() => discVerdict({ newMm: 6, minimumMm: 7, readingsMm: [6] })).toThrow('minimumMm')
    expect(() => discVerdict({ ...disc, readingsMm: [] })).toThrow('readingsMm')
    expect(() => discVerdict({ ...disc, readingsMm: [0.28] })).toThrow('readingsMm[0]')
  })
})

describe('what a clutch carries', () => {
  const clutch = { frictionCoefficient: 0.3, clampN: 5000, faces: 2, outerMm: 228, innerMm: 150 }
  it('judges the margin', () => {
    expect(torqueCapacity(clutch, { torqueNm: 200, factor: 1 })).toMatchObject({ verdict: 'right' })
    expect(torqueCapacity(clutch, { torqueNm: 200, factor: 1.3 }).verdict).toBe('thin')
    expect(torqueCapacity(clutch, { torqueNm: 300, factor: 1 }).verdict).toBe('slips')
  })
  it('refuses a lining whose inside is larger than its outside', () => {
    expect(() => frictionTorque({ ...clutch, model: 'uniform-wear', innerMm: 300 })).toThrow('innerMm')
  })
  it('asks more of the pedal from more faces', () => {
    const one = releaseDemand({ clampN: 5000, fingerRatio: 3.5, liftPerFaceMm: 0.8, faces: 2 })
    expect(one.bearingMm).toBeCloseTo(5.6, 9)
    expect(releaseDemand({ clampN: 5000, fingerRatio: 3.5, liftPerFaceMm: 0.8, faces: 4 }).bearingMm).toBeCloseTo(
      11.2,
      9,
    )
  })
  it('makes as much heat as the car gains in motion when nothing holds it back', () => {
    const launch = {
      massKg: 1400,
      ratio: 14,
      tyreRadiusMm: 300,
      enginePerMinute: 1500,
      clutchNm: 250,
      loadNm: 0,
      ironKg: 8,
      faceMm2: 23_000,
      faces: 2,
    }
    const heat = launchHeat(launch)
    const speed = ((1500 * 2 * Math.PI) / 60 / 14) * 0.3
    expect(heat.energyJ).toBeCloseTo(0.5 * 1400 * speed ** 2, 6)
    expect(launchHeat({ ...launch, loadNm: 125 }).energyJ).toBeCloseTo(heat.energyJ * 2, 6)
    expect(() => launchHeat({ ...launch, loadNm: 260 })).toThrow('clutchNm')
  })
})

describe('what is compared and measured', () => {
  const pair = (change: object) => ({
    name: 'Hub',
    old: 20,
    new: 20,
    unit: 'mm',
    within: 1,
    because: 'It meets the bolts.',
    ...change,
  })
  it('takes one size off as a doubt, a count off or two sizes as another kit', () => {
    expect(matchParts([pair({}), pair({ new: 20.9 })]).verdict).toBe('same')
    expect(matchParts([pair({ new: 22 }), pair({})]).verdict).toBe('differs')
    expect(matchParts([pair({ within: 0, new: 21 })]).verdict).toBe('wrong-kit')
    expect(matchParts([pair({ new: 22 }), pair({ new: 26 })]).verdict).toBe('wrong-kit')
  })
  it('judges a dual-mass by its own limits only', () => {
    expect(dualMass({ rotationDeg: 6, rotationLimitDeg: 10 }).verdict).toBe('good')
    expect(dualMass({ rotationDeg: 6, rotationLimitDeg: 10, rockMm: 2.1, rockLimitMm: 2 }).verdict).toBe('finished')
    expect(() => dualMass({ rotationDeg: 6 })).toThrow(RangeError)
  })
  it('says whether a flywheel can be machined', () => {
    expect(machiningLeft({ thicknessMm: 26, minimumMm: 25, warpMm: 0.3 })).toMatchObject({
      enough: true,
      neededMm: expect.closeTo(0.4, 9),
    })
    expect(machiningLeft({ thicknessMm: 25.3, minimumMm: 25, warpMm: 0.1, heatMm: 0.5 }).enough).toBe(false)
    expect(machiningLeft({ thicknessMm: 24.9, minimumMm: 25, warpMm: 0 }).because).toContain('nothing may come off')
  })
  it('sets up a slave round the shaft: shims for too far, none for too near', () => {
    const depths = { fingersMm: 20, windowMm: [3, 5] as [number, number], shimsMm: [1, 1.5] }
    expect(concentricGap({ ...depths, bearingMm: 24 })).toMatchObject({ verdict: 'right', shimMm: 0 })
    expect(concentricGap({ ...depths, bearingMm: 26 })).toMatchObject({ verdict: 'too-far', shimMm: 2 })
    expect(concentricGap({ ...depths, bearingMm: 22 })).toMatchObject({ verdict: 'too-near', shimMm: null })
  })
})

describe('flywheelMatch', () => {
  const old = { faceMm: 32, ringMm: 12, teeth: 132, boltCircleMm: 66, massKg: 11 }
  const worst = (...given: Parameters<typeof flywheelMatch>) => flywheelMatch(...given).findings[0]!.sentence
  it('fits where all that was measured agrees', () => {
    const found = flywheelMatch(old, old, { boltMm: 28, clampedMm: 12, threadMm: 10, holeMm: 20 })
    expect([found.verdict, found.fingersMm, found.ringMm, found.engagedMm, found.engagedDiameters]).toEqual([
      'fits',
      0,
      0,
      16,
      1.6,
    ])
    expect(flywheelMatch({}, {}).findings).toEqual([])
  })
  it('counts a spacer to face, ring and clamped length alike', () => {
    const found = flywheelMatch(
      old,
      { faceMm: 27, ringMm: 7 },
      { spacerMm: 5, boltMm: 28, clampedMm: 12, threadMm: 10 },
    )
    expect([found.fingersMm, found.ringMm, found.engagedMm]).toEqual([0, 0, 11])
  })
  it('says where the fingers come to stand, and whether the bearing can go back so far', () => {
    expect(worst({ faceMm: 30 }, { faceMm: 34 })).toContain('was not measured')
    expect(worst({ faceMm: 30 }, { faceMm: 34 }, { bearingRoomMm: 6 })).toContain('it has {6.0 mm}')
    expect(flywheelMatch({ faceMm: 30 }, { faceMm: 34 }, { bearingRoomMm: 3 })).toMatchObject({
      verdict: 'does-not-fit',
    })
    expect(worst({ faceMm: 30 }, { faceMm: 26 })).toContain('has to follow')
  })
  it.each([
    [{ teeth: 132 }, { teeth: 129 }, {}, 'does not mesh'],
    [{ ringMm: 12 }, { ringMm: 15 }, {}, 'nearer to the box'],
    [{ boltCircleMm: 66 }, { boltCircleMm: 70 }, {}, 'another crank'],
    [{}, {}, { boltMm: 20, clampedMm: 12, threadMm: 10 }, 'Only {8.0 mm}'],
    [{}, {}, { boltMm: 40, clampedMm: 12, threadMm: 10, holeMm: 20 }, 'bottoms'],
    [{}, {}, { boltMm: 10, clampedMm: 12, threadMm: 10 }, 'does not reach'],
    [{ massKg: 11 }, { massKg: 7 }, {}, 'lighter'],
    [{ massKg: 7 }, { massKg: 11 }, {}, 'heavier'],
  ])('finds %j against %j with %j', (before, after, fixing, words) => {
    expect(worst(before, after, fixing)).toContain(words)
  })
  it('refuses what no flywheel has', () => {
    expect(() => flywheelMatch({ teeth: 3 }, {})).toThrow('teeth')
    expect(() => flywheelMatch({}, {}, { spacerMm: -1 })).toThrow('spacer')
  })
})
