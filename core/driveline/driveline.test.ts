import { describe, expect, it } from 'vitest'
import { correctLine, jointAngle, mountShim, rippleAcceleration, shaftLine, shaftSpeed, speedRipple } from '.'

const member = (id: string, pitchDeg: number, yawDeg = 0, phaseDeg = 0) => ({ id, pitchDeg, yawDeg, phaseDeg })

describe('joint angle', () => {
  it('is the difference in one plane, and the slope of both in two', () => {
    expect(jointAngle({ pitchDeg: 2, yawDeg: 0 }, { pitchDeg: 5, yawDeg: 0 })).toBeCloseTo(3, 9)
    expect(jointAngle({ pitchDeg: 0, yawDeg: 0 }, { pitchDeg: 3, yawDeg: 4 })).toBeCloseTo(5, 1)
    expect(jointAngle({ pitchDeg: 2, yawDeg: 1 }, { pitchDeg: 2, yawDeg: 1 })).toBeCloseTo(0, 9)
    expect(() => jointAngle({ pitchDeg: 95, yawDeg: 0 }, { pitchDeg: 0, yawDeg: 0 })).toThrow('pitchDeg')
  })
})

describe('shaft line', () => {
  it('cancels with equal angles in phase, box and axle parallel', () => {
    const line = shaftLine([member('box', 2), member('shaft', 5), member('axle', 2)])
    expect(line.joints.map(joint => joint.angleDeg)).toEqual([expect.closeTo(3, 9), expect.closeTo(3, 9)])
    expect(line.cancels).toBe(true)
    expect(Math.max(...line.ripple.map(point => Math.abs(point.ratio - 1)))).toBeLessThan(1e-12)
  })
  it('cancels too where the line is bent like a bow', () => {
    expect(shaftLine([member('box', -3), member('shaft', 0), member('axle', 3)]).residualDeg).toBeCloseTo(0, 6)
  })
  it('shakes with unequal angles, and doubles with the yokes a quarter out', () => {
    const unequal = shaftLine([member('box', 2), member('shaft', 6), member('axle', 4)])
    expect(unequal.residualDeg).toBeCloseTo(Math.sqrt(4 ** 2 - 2 ** 2), 6)
    expect(unequal.cancels).toBe(false)
    const crossed = shaftLine([member('box', 2), member('shaft', 5, 0, 90), member('axle', 2)])
    expect(crossed.residualDeg).toBeCloseTo(Math.sqrt(2) * 3, 6)
  })
  it('does not cancel where one joint bends in side view and the other in plan', () => {
    expect(shaftLine([member('box', 3, 0), member('shaft', 0, 0), member('axle', 0, 3)]).residualDeg).toBeCloseTo(
      Math.sqrt(2) * 3,
      1,
    )
  })
  it('follows two-piece shafts', () => {
    expect(
      shaftLine([member('box', 2), member('front', 2.3), member('rear', 5.3), member('axle', 2.3)]).joints,
    ).toHaveLength(3)
    expect(() => shaftLine([member('box', 2)])).toThrow('members')
  })
  it('shakes by what is left over, with the square of the speed', () => {
    const line = shaftLine([member('box', 2), member('shaft', 6), member('axle', 4)])
    const swing = (line.ripplePercent[1] - line.ripplePercent[0]) / 2 / 100 / 2
    expect((line.swingDeg * Math.PI) / 180).toBeCloseTo(swing, 5)
    expect(rippleAcceleration(line.swingDeg, 3000) / rippleAcceleration(line.swingDeg, 1500)).toBeCloseTo(4, 9)
  })
  it('turns with the road: the shaft by the ratio, the wheel by its circumference', () => {
    // 60 km/h is 1 km a minute: 500 turns of a wheel of 2 m, 2000 of the shaft at 4 to 1.
    expect(shaftSpeed(60, 4, 2000)).toBeCloseTo(2000, 9)
    expect(() => shaftSpeed(60, 0, 2000)).toThrow('axleRatio')
  })
  it('finds the shim that leaves least', () => {
    const found = correctLine([member('box', 4), member('shaft', 6), member('axle', 2)], {
      mountBehindMm: 800,
      tailBehindMm: 900,
      shaftLengthMm: 1400,
    })
    expect(found.after.residualDeg).toBeLessThan(0.1)
    expect(found.turnDeg).toBeGreaterThan(0)
    expect(found.shimMm).toBeCloseTo(mountShim(found.turnDeg, 800), 9)
  })
  it('swings once, twice a turn', () => {
    expect(speedRipple(10, 0)).toBeCloseTo(speedRipple(10, 180), 12)
    expect(speedRipple(10, 90)).toBeCloseTo(Math.cos((10 * Math.PI) / 180), 12)
  })
})
