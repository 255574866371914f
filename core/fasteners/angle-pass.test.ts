import { describe, expect, it } from 'vitest'
import { readAnglePass, takenUp } from './angle-pass'

const at = (angleDeg: number, torqueNm: number) => ({ angleDeg, torqueNm })

describe('a pass by angle', () => {
  it('is reached by what was turned in it, not by what was turned before', () => {
    const snug = at(40, 30)
    expect(readAnglePass([at(0, 5), snug, at(85, 62)], snug, 90)).toMatchObject({
      turnedDeg: 45,
      reached: false,
      gaveWay: null,
    })
    expect(readAnglePass([at(0, 5), snug, at(130, 80)], snug, 90)).toMatchObject({ turnedDeg: 90, reached: true })
    expect(readAnglePass([at(10, 5), at(100, 40)], undefined, 90).reached).toBe(true)
  })
  it('lets a bolt yield, and stops one whose torque falls twice in a row', () => {
    const snug = at(40, 30)
    const yielding = [snug, at(80, 70), at(100, 72), at(120, 71)]
    expect(readAnglePass(yielding, snug, 120).gaveWay).toBeNull()
    expect(readAnglePass([...yielding, at(125, 50)], snug, 120).gaveWay).toBeNull()
    expect(readAnglePass([...yielding, at(125, 50), at(128, 40)], snug, 120).gaveWay).toEqual({
      verdict: 'gave-way',
      because: 'Torque fell from {72.0 N·m} to {40.0 N·m} while it turned on.',
      atAngleDeg: 128,
    })
    expect(readAnglePass([at(0, 60)], undefined, 90).gaveWay).toBeNull()
  })
})

it('is read over swings, and past dirt that gave way as it ran down', () => {
  const dirt = [at(0, 2), at(5, 12), at(10, 12), at(15, 12), at(20, 2), at(25, 2), at(30, 2)]
  const snug = at(60, 30)
  const swing = [at(90, 55), at(90, 0), at(92, 20), at(95, 40), at(97, 55), at(100, 58)]
  const read = readAnglePass([...dirt, snug, at(70, 40), at(80, 48), ...swing], snug, 90)
  expect(read.gaveWay).toBeNull()
  // The wrench went 40° on, the bolt what is left without the winding up.
  expect(read.turnedDeg).toBeLessThan(40)
  expect(read.turnedDeg).toBeGreaterThan(30)
})

it('takes the slack up by torque or by degrees', () => {
  const last = at(60, 50)
  expect(takenUp(last, at(61, 20))).toBe(false)
  expect(takenUp(last, at(61, 45))).toBe(true)
  expect(takenUp(last, at(72, 20))).toBe(true)
})
