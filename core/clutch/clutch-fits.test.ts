import { describe, expect, it } from 'vitest'
import { clutchFits } from './clutch-fits'

const right = {
  shaftSplines: 23,
  hubSplines: 23,
  shaftMm: 25.2,
  hubMm: 25.4,
  faceMm: 232,
  discMm: 228,
  wheelCircleMm: 265,
  coverCircleMm: 265.1,
  tipMm: 14.98,
  pilotMm: 15.02,
  guideMm: 35,
  bearingMm: 35.2,
}

describe('parts that meet for the first time', () => {
  it('fit where every pair does', () => {
    const found = clutchFits(right)
    expect([found.verdict, found.findings.length]).toEqual(['fits', 6])
  })
  it.each([
    ['another spline count', { hubSplines: 26 }, 'does-not-fit', /more splines.* 26 and 23/],
    ['a hub that is too small', { hubMm: 25.1 }, 'does-not-fit', /does not go over the shaft/],
    ['a lining that hangs over', { discMm: 240 }, 'does-not-fit', /hangs over/],
    ['a small lining', { discMm: 200 }, 'look', /weaker clutch/],
    ['another bolt circle', { coverCircleMm: 263 }, 'does-not-fit', /smaller than its holes/],
    ['a tip that does not go in', { tipMm: 15.1 }, 'does-not-fit', /does not go into the pilot/],
    ['a loose pilot', { pilotMm: 16 }, 'does-not-fit', /adapter bush/],
    ['a loose bearing', { bearingMm: 37 }, 'does-not-fit', /tilts and squeals/],
  ] as const)('says %s', (_what, change, verdict, words) => {
    const found = clutchFits({ ...right, ...change })
    expect(found.verdict).toBe(verdict)
    expect(found.findings[0]!.sentence).toMatch(words)
  })
  it('looks at what was measured of both, and at nothing else', () => {
    expect(clutchFits({ shaftMm: 25, discMm: 228 })).toEqual({ verdict: 'look', findings: [] })
  })
})
