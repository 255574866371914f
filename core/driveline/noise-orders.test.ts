import { describe, expect, it } from 'vitest'
import { noiseOrders, rollingMm } from './noise-orders'

const drive = {
  speedKmh: 100,
  gearRatio: 1,
  finalRatio: 4,
  tire: { widthMm: 205, aspect: 55, rimIn: 16 },
  cylinders: 4,
  propshaft: true,
}

describe('noiseOrders', () => {
  it('turns a wheel by its rolling circumference', () => {
    // 16 in = 406.4 mm, walls 112.75 mm each: 631.9 mm across, 1985 mm round, rolling on 0.97 of it.
    expect(rollingMm(drive.tire)).toBeCloseTo(Math.PI * 631.9 * 0.97, 6)
    const wheel = noiseOrders(drive).find(order => order.part === 'wheel' && order.order === 1)!
    expect(wheel.hz).toBeCloseTo(((100 / 3.6) * 1000) / rollingMm(drive.tire), 9)
  })
  it('goes up the driveline by its ratios', () => {
    const hz = (part: string, order: number) =>
      noiseOrders({ ...drive, gearRatio: 1.5 }).find(entry => entry.part === part && entry.order === order)!.hz
    expect(hz('propshaft', 1) / hz('wheel', 1)).toBeCloseTo(4, 12)
    expect(hz('engine', 1) / hz('propshaft', 1)).toBeCloseTo(1.5, 12)
    expect(hz('propshaft', 2) / hz('propshaft', 1)).toBe(2)
  })
  it('puts what was heard first: twice a propshaft turn is its joints', () => {
    const heard = noiseOrders(drive).find(entry => entry.part === 'propshaft' && entry.order === 2)!.hz
    const [first] = noiseOrders({ ...drive, gearRatio: 0.8, heardHz: heard * 1.01 })
    expect(first).toMatchObject({ part: 'propshaft', order: 2 })
    expect(first!.off).toBeCloseTo(0.01 / 1.01, 6)
  })
  it('has no shaft where there is none, and the firing order of other engines', () => {
    expect(noiseOrders({ ...drive, propshaft: false }).some(entry => entry.part === 'propshaft')).toBe(false)
    expect(noiseOrders({ ...drive, cylinders: 6 }).some(entry => entry.part === 'engine' && entry.order === 3)).toBe(
      true,
    )
    expect(noiseOrders({ ...drive, cylinders: 3 }).some(entry => entry.part === 'engine' && entry.order === 1.5)).toBe(
      true,
    )
  })
  it('names the field at fault', () => {
    expect(() => noiseOrders({ ...drive, speedKmh: 0 })).toThrow('The speed')
    expect(() => rollingMm({ ...drive.tire, aspect: 5 })).toThrow('The height')
    expect(() => noiseOrders({ ...drive, heardHz: 0 })).toThrow('heardHz')
  })
})
