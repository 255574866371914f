import { describe, expect, it } from 'vitest'
import { twoStagePedal } from './two-stage-pedal'

const right = { freePlayMm: 28, driveFreesMm: 85, takeOffFreesMm: 140, endMm: 155, brakeTouchesMm: 150 }
describe('a pedal in two stages', () => {
  it('frees the drive, then the power take-off, and has travel left', () => {
    expect(twoStagePedal(right)).toMatchObject({ faults: [], betweenMm: 55, overTravelMm: 15 })
  })
  it.each([
    [{ freePlayMm: 6 }, 'no-free-play'],
    [{ freePlayMm: 60 }, 'much-free-play'],
    [{ takeOffFreesMm: 80 }, 'stages-swapped'],
    [{ takeOffFreesMm: 92 }, 'stages-close'],
    [{ endMm: 142 }, 'no-over-travel'],
    [{ endMm: 130 }, 'no-over-travel'],
    [{ brakeTouchesMm: 100 }, 'brake-early'],
  ] as const)('%j is told', (change, fault) => {
    const found = twoStagePedal({ ...right, ...change })
    expect(found.faults).toContain(fault)
    expect(found.because).not.toContain('are left to the stop')
  })
  it('takes the figures of the book where they are given, and no brake where there is none', () => {
    const { brakeTouchesMm: _none, ...noBrake } = right
    expect(twoStagePedal({ ...noBrake, freePlayWindowMm: [10, 20] }).faults).toEqual(['much-free-play'])
    expect(twoStagePedal({ ...noBrake, overTravelMm: 20 }).faults).toEqual(['no-over-travel'])
  })
  it('refuses what is no travel, by its field', () => {
    expect(() => twoStagePedal({ ...right, endMm: Infinity })).toThrow('endMm')
  })
})
