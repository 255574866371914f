import { describe, expect, it } from 'vitest'
import { findingOf } from '../../../tests/support/one-judge'

describe('a tractor in two halves', () => {
  const halves = {
    frontMass: 900,
    frontBalance: 400,
    frontSupport: 1200,
    rearMass: 1300,
    rearBalance: 2000,
    rearSupport: 1500,
    wheelbase: 2250,
    wedges: 'in',
    rating: 600,
  }
  it('is carried by the law of the lever, front and rear', () => {
    const found = findingOf('split-halves', halves)
    expect(found.level).toBe('good')
    // By hand: 900 × 400/1200 = 300; 1300 × (2250 − 2000)/(2250 − 1500) = 433.3.
    expect(found.figures[0]!.value).toBeCloseTo(300, 9)
    expect(found.figures[1]!.value).toBeCloseTo(1300 / 3, 9)
  })
  it('lies over without its wedges, tips over a support before its balance, and rolls down a floor', () => {
    expect(findingOf('split-halves', { ...halves, wedges: 'out' }).level).toBe('renew')
    expect(findingOf('split-halves', { ...halves, frontSupport: 350 }).sentence).toContain('tips over its support')
    expect(findingOf('split-halves', { ...halves, slope: 2 })).toMatchObject({
      level: 'watch',
      sentence: expect.stringContaining('chock it on the low side'),
    })
    expect(findingOf('split-halves', { ...halves, rating: 400 })).toMatchObject({
      level: 'renew',
      sentence: expect.stringContaining('a stronger one'),
    })
  })
  it('has its adjusters told in flats, and held to their window and to each other', () => {
    // 1.4 − 1.1 = 0.3 mm at 1.25 mm a turn: 0.24 turns, 1.44 flats of six, 86°.
    const found = findingOf('adjuster-turns', { gaps: [1.1, 1.4, 1.65], wanted: 1.4, pitch: 1.25, flats: 6 })
    expect(found.level).toBe('watch')
    expect(found.sentence).toContain('1: 1.4 flats (86°) to widen it; 3: 1.2 flats (72°) to narrow it')
    const window = { low: 1.016, high: 1.778, spread: 0.1 }
    expect(findingOf('adjuster-gaps', { ...window, after: [1.4, 1.42, 1.38] }).level).toBe('good')
    expect(findingOf('adjuster-gaps', { ...window, after: [1.4, 1.42, 1.9] })).toMatchObject({
      level: 'renew',
      sentence: expect.stringContaining('Outside {1.016 mm} to {1.778 mm}: 3'),
    })
    expect(findingOf('adjuster-gaps', { ...window, after: [1.4, 1.55, 1.4] }).sentence).toContain('lifts askew')
  })
  it('has a pedal in two stages', () => {
    const pedal = { free: 28, drive: 85, takeOff: 140, end: 155, freeLow: 20, freeHigh: 40, over: 8 }
    expect(findingOf('two-stage-pedal', { ...pedal, brake: 150 }).level).toBe('good')
    expect(findingOf('two-stage-pedal', { ...pedal, brake: 100 }).level).toBe('renew')
  })
  it('hangs a long shaft out of a small bearing', () => {
    // 9 kg at 500 mm: 44.1 N·m; over 20 mm of bearing 2207 N.
    const found = findingOf('long-shaft', { mass: 9, overhang: 500, bearing: 20, held: 'hangs' })
    expect(found.level).toBe('watch')
    expect(found.figures[0]!.value).toBeCloseTo(44.145, 3)
    expect(found.figures[1]!.value).toBeCloseTo(2207.25, 1)
    expect(findingOf('long-shaft', { mass: 9, overhang: 500, bearing: 20, held: 'held' }).level).toBe('good')
  })
  it('tells an unmarked disc by its hub: as it lies, turned over, or another disc', () => {
    const hub = { oldEngine: 22, oldBox: 38, allowed: 1 }
    expect(findingOf('hub-told', { ...hub, newEngine: 22.4, newBox: 38 }).sentence).toContain('this side to the engine')
    expect(findingOf('hub-told', { ...hub, newEngine: 38, newBox: 22 })).toMatchObject({
      level: 'watch',
      sentence: expect.stringContaining('the other side to the engine'),
    })
    expect(findingOf('hub-told', { ...hub, newEngine: 30, newBox: 30 }).level).toBe('renew')
    expect(findingOf('hub-told', { ...hub, oldBox: 22, newEngine: 22, newBox: 22 }).sentence).toContain('does not tell')
  })
})
