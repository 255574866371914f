import { describe, expect, it } from 'vitest'
import { cutCentre } from './cut-centre'
import { shaftLength } from './shaft-length'

describe('where the floor is cut', () => {
  it('is the box laid under the floor', () => {
    expect(
      cutCentre({ bellToShifterMm: 520, betweenMm: 12, engineToMarkMm: 500, asideMm: 30, markAsideMm: 45 }),
    ).toEqual({
      behindMarkMm: 32,
      rightOfMarkMm: -15,
      byFallMm: 0,
    })
  })
  it('moves to the rear with a pivot above a box that falls: L cos φ + h sin φ, by hand', () => {
    // 600 cos 5° + 100 sin 5° = 597.717 + 8.716 mm.
    const found = cutCentre({ bellToShifterMm: 600, riseMm: 100, fallDeg: 5, engineToMarkMm: 0 })
    expect(found.behindMarkMm).toBeCloseTo(606.433, 2)
    expect(found.byFallMm).toBeCloseTo(6.433, 2)
  })
  it('agrees with a turn of the plane by complex numbers', () => {
    for (const fallDeg of [-8, -1, 0, 2.5, 11]) {
      const turn = (fallDeg * Math.PI) / 180
      // (L + ih) e^(−iφ), real part.
      const real = 480 * Math.cos(-turn) - 75 * Math.sin(-turn)
      const { behindMarkMm } = cutCentre({ bellToShifterMm: 480, riseMm: 75, fallDeg, engineToMarkMm: 100 })
      expect(behindMarkMm).toBeCloseTo(real - 100, 9)
    }
  })
  it('refuses a way that no box has', () => {
    expect(() => cutCentre({ bellToShifterMm: 5, engineToMarkMm: 0 })).toThrow('shifter')
  })
})

describe('a shaft made to length', () => {
  it('leaves the yoke its slip', () => {
    expect(shaftLength({ sealToJointMm: 1480, yokeHomeMm: 62, slipMm: 22, splineMm: 95, shaftMm: 32 })).toEqual({
      lengthMm: 1396,
      engagedMm: 73,
      engagedDiameters: 73 / 32,
    })
  })
  it('says nothing of a spline that was not measured, and refuses a slip that is none', () => {
    expect(shaftLength({ sealToJointMm: 1480, yokeHomeMm: 62, slipMm: 22 }).engagedMm).toBeNull()
    expect(() => shaftLength({ sealToJointMm: 1480, yokeHomeMm: 62, slipMm: -1 })).toThrow('slip')
  })
})
