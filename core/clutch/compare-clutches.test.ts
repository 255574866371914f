import { describe, expect, it } from 'vitest'
import { compareClutches } from './compare-clutches'
import type { ClutchCandidate, ClutchUse } from './compare-clutches'

const plain: ClutchCandidate = {
  name: 'Plain',
  clampN: 5000,
  outerMm: 228,
  innerMm: 150,
  faces: 2,
  frictionCoefficient: 0.3,
  fingerRatio: 3.5,
  liftPerFaceMm: 0.8,
  ironKg: 8,
}
const use: ClutchUse = {
  engineNm: 180,
  factor: 1,
  start: { massKg: 1500, ratio: 14, tyreRadiusMm: 310, enginePerMinute: 1500, loadNm: 20 },
  startsInARow: 3,
}

describe('clutches side by side', () => {
  it('takes the one that fits and is lightest to press, and says why not the others', () => {
    // By hand: 0.3 × 5000 N × 2 × 94.5 mm = 283.5 N·m, 1.6 times 180 N·m.
    const found = compareClutches(use, [
      { ...plain, name: 'Strong', clampN: 7000 },
      { ...plain, name: 'Weak', clampN: 2800 },
      plain,
    ])
    expect(found.ranked.map(({ name, fits }) => [name, fits])).toEqual([
      ['Plain', true],
      ['Strong', true],
      ['Weak', false],
    ])
    expect(found.ranked[0]!.capacity.wearNm).toBeCloseTo(283.5)
    expect(found.because).toMatch(
      /^Plain: It carries 1\.6 times what is asked\. Strong fits too, and is heavier to press\./,
    )
    expect(found.because).toContain('Not Weak: It slips under full load.')
  })
  it.each([
    [{ givesMm: 5 }, {}, 'it drags'],
    [{ givesN: 1200 }, {}, 'which gives {1200 N}'],
    [{ startsInARow: 100 }, {}, 'the lining burns'],
    [{}, { wornShare: 0.8 }, '80 in 100 of its lining is gone'],
    [{ engineNm: 400 }, {}, 'slips'],
  ])('refuses it where %j and %j', (change, other, words) => {
    const found = compareClutches({ ...use, ...change }, [{ ...plain, ...other }])
    expect(found.ranked[0]!.fits).toBe(false)
    expect(found.because).toContain('None of them fits this use.')
    expect(found.because).toContain(words)
  })
  it('notes what speaks against one that fits', () => {
    const [found] = compareClutches({ ...use, engineNm: 250 }, [{ ...plain, wornShare: 0.3 }]).ranked
    expect([found!.fits, found!.against.length]).toEqual([true, 2])
  })
  it('does not work out a start that it does not carry', () => {
    const [found] = compareClutches({ ...use, start: { ...use.start, loadNm: 300 } }, [plain]).ranked
    expect([found!.heat, found!.riseC]).toEqual([null, null])
  })
  it('refuses no candidate, and a field of one by its path', () => {
    expect(() => compareClutches(use, [])).toThrow('At least one')
    expect(() => compareClutches(use, [{ ...plain, wornShare: 2 }])).toThrow('share')
  })
})
