import { expect, it } from 'vitest'
import { tubeStrap } from './tube-strap'

// 180 kg that balance 400 mm behind the mounts on a strap 1600 mm behind them: 45 kg. Legs 3-4-5 by hand.
const tube = {
  massKg: 180,
  balanceMm: 400,
  strapMm: 1600,
  spanMm: 600,
  hangMm: 360,
  dropMm: 40,
  braceMm: 800,
  braceGapMm: 70,
}
it('carries by the law of the lever, in two legs', () => {
  const found = tubeStrap(tube)
  expect(found.loadKg).toBeCloseTo(45, 9)
  expect(found.legKg).toBeCloseTo((45 / 2) * 1.25, 9)
  expect(found.lengthMm).toBeCloseTo(1000, 9)
})
it('leaves so much for the timber, and says where the tube meets the brace', () => {
  expect(tubeStrap(tube).timberMm).toBeCloseTo(50, 9)
  const low = tubeStrap({ ...tube, dropMm: 160 })
  expect(low.timberMm).toBeLessThanOrEqual(0)
  expect(low.meetsAtMm).toBeCloseTo(140, 9)
  expect(low.because).toContain('not that far')
})
it('refuses a strap before the balance, by its field', () => {
  expect(() => tubeStrap({ ...tube, strapMm: 390 })).toThrow('behind the balance')
  expect(() => tubeStrap({ ...tube, massKg: NaN })).toThrow('massKg')
})
