import { describe, expect, it } from 'vitest'
import { fasteners } from '../../core'

const INCH_MM = 25.4

describe('limits of threads', () => {
  // ISO 965-2, limits of sizes 6g and 6H (from memory): outside and flanks of the bolt, flanks and bore of the hole at least material.
  it.each([
    ['M8', 7.76, 7.042, 7.348, 6.912],
    ['M10', 9.732, 8.862, 9.206, 8.676],
    ['M6', 5.794, 5.212, 5.5, 5.153],
    ['M12', 11.701, 10.679, 11.063, 10.441],
  ])('%s', (thread, boltMajorMm, boltPitchMm, holePitchMm, holeMinorMm) => {
    const limits = fasteners.leastMaterial(fasteners.parseThread(thread))
    // The standard rounds tolerances to preferred numbers.
    for (const [found, wanted] of [
      [limits.boltMajorMm, boltMajorMm],
      [limits.boltPitchMm, boltPitchMm],
      [limits.holePitchMm, holePitchMm],
      [limits.holeMinorMm, holeMinorMm],
    ])
      expect(Math.abs(found! - wanted!)).toBeLessThan(0.009)
  })
  // FED-STD-H28/2, areas that shear per inch of engagement, classes 2A and 2B, in in² (from memory): of the hole, of the bolt.
  it.each([
    ['1/4-20', 0.539, 0.368],
    ['5/16-18', 0.682, 0.47],
    ['3/8-16', 0.828, 0.576],
    ['7/16-14', 0.981, 0.677],
  ])('%s shears over %f and %f in² an inch', (thread, hole, bolt) => {
    const { holeMm, boltMm } = fasteners.shearAreas(thread)
    expect(Math.abs(holeMm / INCH_MM / hole - 1)).toBeLessThan(0.01)
    expect(Math.abs(boltMm / INCH_MM / bolt - 1)).toBeLessThan(0.03)
  })
})

describe('stripping', () => {
  // Worked by hand after Alexander 1977: M8 in die-cast aluminium of 130 MPa, 12 mm engaged, bolt 8.8.
  it('is what a hand calculation gives', () => {
    const { boltMajorMm, holePitchMm } = fasteners.leastMaterial(fasteners.parseThread('M8'))
    const areaPerMm = ((Math.PI * boltMajorMm) / 1.25) * (0.625 + 0.57735 * (boltMajorMm - holePitchMm))
    // Strength of the hole against the bolt is below 0.4: the threads do not bend, C3 counts 1.
    const byHand = 130 * areaPerMm * (12 - 0.8 * 1.25)
    const found = fasteners.strippingLoadN({
      thread: 'M8',
      material: 'aluminium',
      engagementMm: 12,
      propertyClass: '8.8',
    })
    expect(found / byHand).toBeCloseTo(1, 3)
  })
  // Common practice, no source: engaged by one diameter in steel and by two in aluminium, an 8.8 bolt breaks before the thread strips.
  it.each([
    ['steel', 1],
    ['aluminium', 2],
  ] as const)('in %s wants about %f diameters', (material, diameters) => {
    const tensileN = fasteners.strength('8.8', 8).tensileMpa * fasteners.stressAreaMm2('M8')
    const mm = fasteners.engagementForMm({ thread: 'M8', material, loadN: tensileN, propertyClass: '8.8' })
    expect(mm / 8).toBeGreaterThan(diameters * 0.6)
    expect(mm / 8).toBeLessThan(diameters * 1.15)
  })
  it('is the bolt’s where the hole is the stronger', () => {
    const soft = { thread: 'M8', material: 'steel', engagementMm: 8, propertyClass: '4.6' } as const
    expect(fasteners.strippingLoadN(soft)).toBeLessThan(fasteners.strippingLoadN({ ...soft, propertyClass: '12.9' }))
  })
})

describe('heads', () => {
  // EN 1665 and ISO 4162 (from memory): a flange bears wider, so the same torque pulls less.
  it('a flange takes more of a torque than a hexagon', () => {
    const joint = { thread: 'M8', propertyClass: '8.8', torqueNm: 22 }
    const share = (head: 'hexagon' | 'flange' | 'round') => fasteners.loadJoint({ ...joint, head }).utilisation.usual
    expect(share('flange')).toBeLessThan(share('hexagon') * 0.95)
    expect(share('round')).toBeLessThan(share('hexagon'))
    expect(() => share('square' as never)).toThrow('head')
  })
  it('is plausible up to where an easy thread reaches yield', () => {
    const at = (torqueNm: number) => fasteners.loadJoint({ thread: 'M8', propertyClass: '8.8', torqueNm })
    const verdict = (torqueNm: number) => fasteners.judgeSpec({ thread: 'M8', propertyClass: '8.8', torqueNm }).verdict
    for (let torqueNm = 10; torqueNm < 29; torqueNm += 0.25)
      expect([torqueNm, verdict(torqueNm) === 'plausible' && at(torqueNm).utilisation.high > 1]).toEqual([
        torqueNm,
        false,
      ])
    expect(at(20).preloadN.low).toBeLessThan(0.5 * at(20).preloadN.usual)
  })
})

describe('torque and angle', () => {
  // Worked by hand: an angle draws pitch × angle / 360; below yield bolt and parts share it by their springs.
  it('stays elastic where the drawn length is small', () => {
    const joint = { thread: 'M10', propertyClass: '10.9', snugNm: 20, clampMm: 60 }
    const [less, more] = [
      fasteners.torqueAngle({ ...joint, angleDeg: 10 }),
      fasteners.torqueAngle({ ...joint, angleDeg: 20 }),
    ]
    const drawnMm = (1.5 * 10) / 360
    const stiffness = (more.preloadN - less.preloadN) / drawnMm
    const root = (Math.PI / 4) * (10 - 1.226869 * 1.5) ** 2
    const shank = (Math.PI / 4) * 100
    const bolt = (5 / shank + 65 / root) / 205_000 + 3.3 / shank / 205_000
    expect(1 / stiffness).toBeGreaterThan(bolt)
    expect(1 / stiffness).toBeLessThan(bolt * 1.6)
  })
  it('never pulls more than the bolt stands, and says that it breaks', () => {
    const bolt = { thread: 'M8', propertyClass: '10.9', snugNm: 20, clampMm: 12 }
    const most = fasteners.strength('10.9', 8).tensileMpa * fasteners.stressAreaMm2('M8')
    let last = 0
    for (let angleDeg = 10; angleDeg <= 720; angleDeg += 10) {
      const turned = fasteners.torqueAngle({ ...bolt, angleDeg })
      expect(turned.preloadN).toBeLessThanOrEqual(most)
      expect(turned.preloadN).toBeGreaterThanOrEqual(last - 1e-6)
      last = turned.preloadN
    }
    expect(fasteners.torqueAngle({ ...bolt, angleDeg: 360 })).toMatchObject({ breaks: true, reuse: 'renew' })
    expect(fasteners.torqueAngle({ ...bolt, angleDeg: 90 }).breaks).toBe(false)
  })
  it('judges the torque it starts from', () => {
    const bolt = { thread: 'M8', propertyClass: '8.8', clampMm: 30, angleDeg: 30 }
    expect(fasteners.torqueAngle({ ...bolt, snugNm: 10 }).because).not.toContain('torque alone')
    expect(fasteners.torqueAngle({ ...bolt, snugNm: 27 }).because).toContain('The torque alone takes up')
    expect(fasteners.torqueAngle({ ...bolt, snugNm: 40 }).because).toContain('past yield; the angle')
  })
  it('gives more where the hole is of aluminium', () => {
    const bolt = { thread: 'M10', propertyClass: '10.9', snugNm: 20, angleDeg: 30, clampMm: 20 }
    expect(fasteners.torqueAngle({ ...bolt, material: 'aluminium' }).preloadN).toBeLessThan(
      fasteners.torqueAngle({ ...bolt, material: 'steel' }).preloadN,
    )
  })
})
