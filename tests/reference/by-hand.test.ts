import { describe, expect, it } from 'vitest'
import { alignment, clutch, driveline, fasteners, fluids, handling, hydraulics } from '../../core'

/** Cases worked by hand from the definitions; each says what it was worked from. */
describe('bolts', () => {
  // Common practice, no source: cross by cross, each bolt opposite the one before as nearly as it can be.
  it('four and six on a circle go across', () => {
    const ring = (count: number) =>
      Array.from({ length: count }, (_, index) => ({
        x: 100 * Math.cos((2 * Math.PI * index) / count),
        y: 100 * Math.sin((2 * Math.PI * index) / count),
      }))
    for (const count of [4, 6, 8]) {
      const order = fasteners.tighteningOrder(ring(count))
      expect([...order].sort((a, b) => a - b)).toEqual(Array.from({ length: count }, (_, index) => index))
      for (let pair = 0; pair < count; pair += 2) expect(Math.abs(order[pair]! - order[pair + 1]!)).toBe(count / 2)
    }
  })
  // Worked from VDI 2230: the torque at which µ 0.115 brings M8 8.8 to yield; 24.6 N·m bring µ 0.12 to 90 % (its table, from memory).
  it('stand what an easy thread brings to yield', () => {
    const { ceilingNm, limitedBy } = fasteners.ceilingOf({ thread: 'M8', propertyClass: '8.8' })
    expect(limitedBy).toBe('bolt')
    expect(ceilingNm).toBeGreaterThan(24.6)
    expect(ceilingNm).toBeLessThan(27.4)
  })
})

describe('clutch', () => {
  // By hand: uniform wear 0.3 × 6000 N × 2 × (0.12 + 0.08) / 2 = 360 N·m against 1.5 × 200 = 300: a margin of 1.2.
  it('carries what two faces carry', () => {
    const found = clutch.torqueCapacity(
      { clampN: 6000, frictionCoefficient: 0.3, faces: 2, outerMm: 240, innerMm: 160 },
      { torqueNm: 200, factor: 1.5 },
    )
    expect(found.wearNm).toBeCloseTo(360, 6)
    expect(found.margin).toBeCloseTo(1.2, 6)
  })
  // By hand: half the limit used of one, a fifth of the other; over either limit it is done.
  it('judges a dual-mass by the larger share of its limits', () => {
    const half = clutch.dualMass({ rotationDeg: 10, rotationLimitDeg: 20, rockMm: 0.4, rockLimitMm: 2 })
    expect([half.rotationShare, half.rockShare]).toEqual([0.5, 0.2])
    expect(clutch.dualMass({ rotationDeg: 21, rotationLimitDeg: 20 }).verdict).toBe('finished')
  })
  // By hand: 26.0 − 25.0 = 1.0 left; 0.3 of warp and a cut of 0.1 to clean iron = 0.4 needed.
  it('machines down to its least thickness and no further', () => {
    expect(clutch.machiningLeft({ thicknessMm: 26, minimumMm: 25, warpMm: 0.3 })).toMatchObject({
      leftMm: expect.closeTo(1, 9),
      neededMm: expect.closeTo(0.4, 9),
      enough: true,
    })
  })
})

describe('pedal', () => {
  // By hand: π/4 19² × 20 = 5.67 ml a stroke; 100 ml above the low mark are 17 strokes and a bit.
  it('counts strokes to the low mark', () => {
    const stroke = { masterBoreMm: 19, strokeMm: 20, deliveredShare: 1 }
    expect(hydraulics.strokeMl(stroke)).toBeCloseTo(5.6706, 3)
    expect(hydraulics.strokesToLow({ ...stroke, reservoirMl: 200, lowMl: 100 })).toBe(17)
  })
  // By hand: pad 150 − 10 of free play through 6 : 1 is 23.33 at the master; (19/22)² of it at the slave is 17.40; through 1.5 : 1 at the
  // fork 11.60 at the bearing; through 4 : 1 at the fingers 2.90 of lift, 1.45 a face. 1200 N at the bearing are 1200 / 1.5 = 800 at the slave,
  // 800 / (π/4 22²) = 2.10 N/mm², 21.0 bar; × π/4 19² = 596.7 at the master, / 6 = 99.5 N at the foot.
  it('passes a pedal on to the faces', () => {
    const found = hydraulics.releaseChain({
      linkage: { kind: 'hydraulic', masterBoreMm: 19, slaveBoreMm: 22 },
      pedalTravelMm: 150,
      pedalRatio: 6,
      forkRatio: 1.5,
      fingerRatio: 4,
      faces: 2,
      freePlayMm: 10,
      liftWantedMm: 0.5,
      bearingMostMm: 20,
      releaseN: 1200,
    })
    expect(found.slaveMm).toBeCloseTo(17.403, 2)
    expect(found.bearingMm).toBeCloseTo(11.602, 2)
    expect(found.liftPerFaceMm).toBeCloseTo(1.45, 2)
    expect(found.pressureBar).toBeCloseTo(21.04, 1)
    expect(found.pedalN).toBeCloseTo(99.5, 0)
  })
  // Boyle: air at 1.013 bar, pressed by 20 bar, takes 1.013 / 21.013 of its room; what it gives up is lost at the pad.
  it('loses at the pad what air gives up', () => {
    const { lostPedalMm } = {
      lostPedalMm: hydraulics.airSwallows({ volumeMl: 1, pedalRatio: 6, masterBoreMm: 19, pressureBar: 20 }),
    }
    const givesUpMl = 1 - 1.013 / 21.013
    expect(lostPedalMm).toBeCloseTo((givesUpMl * 1000 * 6) / ((Math.PI / 4) * 19 ** 2), 0)
  })
})

describe('driveline', () => {
  // By hand: 2° over 800 mm are 27.94 mm; 90 km/h on 1.9 m of circumference through 3.5 : 1 are 2763 a minute.
  it('shims and turns', () => {
    expect(driveline.mountShim(2, 800)).toBeCloseTo(27.937, 2)
    expect(driveline.shaftSpeed(90, 3.5, 1900)).toBeCloseTo((90 / 3.6 / 1.9) * 60 * 3.5, 6)
    // 205/55 R16: 406.4 + 2 × 112.75 = 631.9 mm across; on 0.97 of it.
    expect(driveline.rollingMm({ widthMm: 205, aspect: 55, rimIn: 16 })).toBeCloseTo(Math.PI * 631.9 * 0.97, 3)
  })
})

describe('alignment', () => {
  // By hand: who looks into the bell sees a disc at 40° as −40°; to a shaft at 3° that is −43°, three of 21 splines less: 8.43°.
  it('turns a shaft into the teeth the shorter way', () => {
    const { turnDeg } = alignment.splineClock({ splines: 21, discDeg: 40, shaftDeg: 3 })
    const pitch = 360 / 21
    expect(Math.abs(turnDeg)).toBeCloseTo(3 * pitch - 43, 6)
  })
  // Definition: first coefficient of the discrete Fourier transform.
  it('finds the first harmonic of even readings', () => {
    const heights = [0.02, 0.05, 0.11, 0.13, 0.1, 0.06, 0.01, -0.02]
    const found = alignment.fitHarmonic(heights.map((heightMm, index) => ({ angleDeg: index * 45, heightMm })))
    const part = (of: (x: number) => number) =>
      (2 / 8) * heights.reduce((sum, height, index) => sum + height * of((index * Math.PI) / 4), 0)
    expect(found.amplitudeMm).toBeCloseTo(Math.hypot(part(Math.cos), part(Math.sin)), 12)
    expect(found.meanMm).toBeCloseTo(heights.reduce((sum, height) => sum + height, 0) / 8, 12)
  })
  it('says how uneven a ring of depths is', () => {
    expect(alignment.faceSpread([10.1, 10.4, 10.0, 10.3])).toEqual({
      meanMm: expect.closeTo(10.2, 9),
      spreadMm: expect.closeTo(0.4, 9),
      highest: 1,
      lowest: 2,
    })
  })
})

describe('fluids', () => {
  // By hand: 2.1 l out of bottles of 1 l and 500 ml are 2 and 1, with 400 ml left.
  it('buys whole bottles', () => {
    expect(fluids.bottles({ needMl: 2100, sizes: [{ ml: 1000 }, { ml: 500 }] })).toMatchObject({
      boughtMl: 2500,
      leftMl: 400,
      bottles: [
        { ml: 1000, count: 2 },
        { ml: 500, count: 1 },
      ],
    })
    // 2 l of which a quarter is another kind: 1.5 l and 0.5 l.
    expect(
      fluids
        .blend(2000, [
          { share: 0.75, bottleMl: 1000, onShelfMl: 0 },
          { share: 0.25, bottleMl: 1000, onShelfMl: 0 },
        ])
        .parts.map(({ ml, boughtMl }) => [ml, boughtMl]),
    ).toEqual([
      [1500, 2000],
      [500, 1000],
    ])
  })
})

describe('handling', () => {
  // By hand: a box of 420 mm on a saddle of 130 wants 550 under an edge at 300: 250 to go up, more where room is left over it.
  it('raises a car by what the box wants under it', () => {
    const found = handling.clearance({
      boxHeightMm: 420,
      saddleMm: 130,
      edgeMm: 300,
      standRangeMm: [280, 600],
      liftPointMm: 250,
    })
    expect(found.neededMm).toBeGreaterThanOrEqual(550)
    expect(found.neededMm).toBeLessThan(620)
    expect(found.liftMm).toBeCloseTo(found.neededMm - 300, 6)
    expect(found.standMm).toBeCloseTo(250 + found.liftMm, 6)
  })
})
