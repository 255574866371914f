import { describe, expect, it } from 'vitest'
import { ceilingOf } from './ceiling'
import { FieldError } from '../base/field-error'
import { judgeSpec, loadJoint } from './judge-spec'
import { boltMaterial, strength } from './strength'
import { strippingLoadN } from './thread-stripping'
import { preloadFrom, tighten } from './tighten'
import { torqueAngle } from './torque-angle'
import { unitSlip } from './unit-slip'

const m8 = { thread: 'M8', propertyClass: '8.8' }

describe('judgeSpec', () => {
  it('calls too little low and everything left in hand plausible', () => {
    expect(judgeSpec({ ...m8, torqueNm: 6 }).verdict).toBe('low')
    expect(judgeSpec({ ...m8, torqueNm: 22 }).verdict).toBe('plausible')
    expect(judgeSpec({ ...m8, torqueNm: 29 }).verdict).toBe('high')
    expect(judgeSpec({ ...m8, torqueNm: 31 }).verdict).toBe('beyond yield')
  })
  it('says which gives first, the bolt or the thread', () => {
    const shallow = { ...m8, propertyClass: '10.9', torqueNm: 32, material: 'aluminium' as const }
    expect(judgeSpec({ ...shallow, engagementMm: 7 })).toMatchObject({ verdict: 'strips thread' })
    expect(judgeSpec({ ...shallow, engagementMm: 7 }).because).toContain('{7 mm} of thread in {aluminum}')
    expect(judgeSpec({ ...shallow, engagementMm: 16 }).verdict).toBe('plausible')
    expect(judgeSpec({ ...m8, torqueNm: 60, material: 'steel', engagementMm: 12 }).verdict).toBe('beyond yield')
  })
  it('knows materials and conditions by their other words', () => {
    const joint = { ...m8, torqueNm: 22, engagementMm: 10 }
    expect(judgeSpec({ ...joint, material: 'aluminum' as never })).toMatchObject({
      verdict: judgeSpec({ ...joint, material: 'aluminium' }).verdict,
    })
    expect(loadJoint({ ...m8, torqueNm: 22, condition: 'lubricant under head' as never })).toEqual(
      loadJoint({ ...m8, torqueNm: 22, condition: 'head-lubricated' }),
    )
  })
  it('finds more preload in the same torque on an oiled thread', () => {
    const dry = loadJoint({ ...m8, torqueNm: 22 })
    const oiled = loadJoint({ ...m8, torqueNm: 22, condition: 'oiled' })
    const head = loadJoint({ ...m8, torqueNm: 22, condition: 'head-lubricated' })
    expect(oiled.preloadN.usual).toBeGreaterThan(dry.preloadN.usual * 1.1)
    expect(head.preloadN.usual).toBeGreaterThan(dry.preloadN.usual)
    expect(dry.preloadN.low).toBeLessThan(dry.preloadN.usual)
    expect(dry.preloadN.usual).toBeLessThan(dry.preloadN.high)
  })
  it.each([
    [{ torqueNm: -5 }, 'torqueNm'],
    [{ torqueNm: 0 }, 'torqueNm'],
    [{ torqueNm: Number.NaN }, 'torqueNm'],
    [{ torqueNm: 5000 }, 'torqueNm'],
    [{ torqueNm: 20, thread: 'M8x7' }, 'thread'],
    [{ torqueNm: 20, propertyClass: '9.1' }, 'propertyClass'],
    [{ torqueNm: 20, propertyClass: 'toString' }, 'propertyClass'],
    [{ torqueNm: 20, material: 'cheese' as never, engagementMm: 10 }, 'material'],
    [{ torqueNm: 20, material: 'steel' as const, engagementMm: -1 }, 'engagementMm'],
    [{ torqueNm: 20, condition: 'wet' as never }, 'condition'],
    [{ torqueNm: 20, headContactDiameterMm: 8 }, 'headContactDiameterMm'],
  ])('refuses %o on its field', (wrong, path) => {
    try {
      judgeSpec({ ...m8, ...wrong })
      expect.unreachable()
    } catch (error) {
      expect(error).toBeInstanceOf(FieldError)
      expect((error as FieldError).path).toBe(path)
    }
  })
})

describe('tighten and preloadFrom', () => {
  it('are each other’s inverse', () => {
    const friction = { threadFriction: 0.13, headFriction: 0.11 }
    const { preloadN, torqueNm } = tighten({ thread: 'M10x1.25', propertyClass: '10.9', utilisation: 0.8, ...friction })
    const back = preloadFrom({ thread: 'M10x1.25', propertyClass: '10.9', torqueNm, ...friction })
    expect(back.preloadN).toBeCloseTo(preloadN, 6)
    expect(back.utilisation).toBeCloseTo(0.8, 9)
  })
})

describe('strength', () => {
  it('knows its classes by number and by grade', () => {
    expect(strength('8.8', 20).yieldMpa).toBe(660)
    expect(strength('Grade 5', 10)).toEqual(strength('grade 5', 10))
    expect(() => strength('9.8', 20)).toThrow('not made in 20 mm')
    expect(() => strength('8.8', -3)).toThrow('diameter')
  })
})

describe('strippingLoadN', () => {
  it('grows with the engaged length and stands higher in steel', () => {
    const at = (engagementMm: number, material: 'aluminium' | 'steel') =>
      strippingLoadN({ thread: 'M8', material, engagementMm })
    expect(at(16, 'aluminium') - at(12, 'aluminium')).toBeCloseTo(at(12, 'aluminium') - at(8, 'aluminium'), 6)
    expect(at(10, 'steel')).toBeGreaterThan(2 * at(10, 'aluminium'))
  })
})

describe('unitSlip', () => {
  it('offers newton metres typed as foot pounds, and inch pounds typed as foot pounds', () => {
    expect(unitSlip(m8, { value: 25, unit: 'lbf·ft' })).toEqual({ unit: 'N·m', torqueNm: 25 })
    expect(unitSlip({ thread: 'M6', propertyClass: '8.8' }, { value: 80, unit: 'lbf·ft' })?.unit).toBe('lbf·in')
  })
  it('offers foot pounds typed as newton metres', () => {
    expect(unitSlip({ thread: 'M12', propertyClass: '10.9' }, { value: 34, unit: 'N·m' })?.unit).toBe('lbf·ft')
  })
  it('is silent where the figure is plausible as typed, or nowhere', () => {
    expect(unitSlip(m8, { value: 19, unit: 'lbf·ft' })).toBeNull()
    expect(unitSlip(m8, { value: 500, unit: 'N·m' })).toBeNull()
  })
})

describe('ceilingOf', () => {
  it('is a torque at which not even an easy thread yields', () => {
    const { ceilingNm, cautiousNm, limitedBy } = ceilingOf(m8)
    expect(loadJoint({ ...m8, torqueNm: ceilingNm }).utilisation.high).toBeCloseTo(1, 6)
    expect(limitedBy).toBe('bolt')
    expect(cautiousNm.high).toBeLessThan(ceilingNm)
  })
  it('is lower where the thread is shallow', () => {
    const shallow = ceilingOf({ ...m8, material: 'aluminium', engagementMm: 6 })
    expect(shallow.limitedBy).toBe('thread')
    const load = loadJoint({ ...m8, material: 'aluminium', engagementMm: 6, torqueNm: shallow.ceilingNm })
    expect(load.preloadN.high).toBeCloseTo(load.stripN!, 3)
  })
})

describe('aluminium bolts', () => {
  it('are weaker than steel ones of their size, and stretch three times as far', () => {
    expect(strength('AL 6', 10)).toEqual({ proofMpa: 440, yieldMpa: 440, tensileMpa: 510 })
    expect(strength('al4', 12).yieldMpa).toBeLessThan(strength('al4', 8).yieldMpa)
    expect([boltMaterial('AL5'), boltMaterial('8.8'), boltMaterial('grade 8')]).toEqual(['aluminium', 'steel', 'steel'])
    const turned = (propertyClass: string) =>
      torqueAngle({ thread: 'M10', propertyClass, snugNm: 15, angleDeg: 30, clampMm: 40, clampMaterial: 'aluminium' })
    // E is 70 against 205 GPa: the same angle pulls less, and more of it is the bolt's own stretch.
    expect(turned('AL6').preloadN).toBeLessThan(turned('10.9').preloadN)
    expect(turned('AL6').elongationMm).toBeGreaterThan(turned('10.9').elongationMm)
  })
})

describe('torqueAngle', () => {
  it('takes a stretch bolt past yield and says to renew it', () => {
    const turned = torqueAngle({ thread: 'M10x1', propertyClass: '10.9', snugNm: 60, angleDeg: 90, clampMm: 14 })
    expect(turned).toMatchObject({ pastYield: true, reuse: 'renew' })
    expect(turned.permanentMm).toBeLessThan(90 / 360)
  })
  it('leaves a long bolt at a small angle elastic', () => {
    const turned = torqueAngle({ thread: 'M10', propertyClass: '10.9', snugNm: 20, angleDeg: 30, clampMm: 60 })
    expect(turned).toMatchObject({ pastYield: false, permanentMm: 0, reuse: 'measure' })
  })
  it('shares the drawn length out between bolt and part', () => {
    const less = torqueAngle({ thread: 'M10', propertyClass: '12.9', snugNm: 20, angleDeg: 20, clampMm: 60 })
    const more = torqueAngle({ thread: 'M10', propertyClass: '12.9', snugNm: 20, angleDeg: 40, clampMm: 60 })
    const drawnMm = (1.5 * 20) / 360
    expect(more.elongationMm - less.elongationMm).toBeGreaterThan(drawnMm * 0.4)
    expect(more.elongationMm - less.elongationMm).toBeLessThan(drawnMm)
  })
})
