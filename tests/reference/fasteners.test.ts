import { det, lusolve } from 'mathjs'
import { describe, expect, it } from 'vitest'
import { fasteners, units } from '../../core'

const INCH_MM = 25.4
const nm = (lbfFt: number) => units.convert(lbfFt, 'lbf·ft', 'N·m')

describe('stress areas', () => {
  // ISO 898-1, tables of coarse and fine pitch threads (from memory).
  it.each([
    ['M6', 20.1],
    ['M8', 36.6],
    ['M10', 58.0],
    ['M12', 84.3],
    ['M8x1', 39.2],
    ['M10x1.25', 61.2],
    ['M12x1.25', 92.1],
    ['M14', 115],
    ['M16', 157],
  ])('%s is %f mm²', (thread, area) => {
    expect(fasteners.stressAreaMm2(fasteners.parseThread(thread))).toBeCloseTo(area, area >= 100 ? 0 : 1)
  })
  // ASME B1.1, tables of UNC and UNF (from memory).
  it.each([
    ['5/16-18', 0.0524],
    ['3/8-16', 0.0775],
    ['7/16-20', 0.1187],
    ['1/2-13', 0.1419],
    ['1/4-20', 0.0318],
    ['#10-24', 0.0175],
  ])('%s is %f in²', (thread, area) => {
    expect(fasteners.stressAreaMm2(fasteners.parseThread(thread)) / INCH_MM ** 2).toBeCloseTo(area, 4)
  })
})

describe('strength', () => {
  // ISO 898-1 (from memory).
  it.each([
    ['8.8', 580, 640],
    ['10.9', 830, 940],
    ['12.9', 970, 1100],
  ])('%s has proof %f and yield %f MPa', (propertyClass, proofMpa, yieldMpa) => {
    expect(fasteners.strength(propertyClass, 8)).toMatchObject({ proofMpa, yieldMpa })
  })
  // SAE J429 (from memory).
  it.each([
    ['grade 5', 85],
    ['grade 8', 120],
  ])('%s has proof %f ksi', (grade, ksi) => {
    expect(fasteners.strength(grade, 0.375 * INCH_MM).proofMpa).toBeCloseTo(units.convert(ksi, 'ksi', 'MPa'), 6)
  })
})

describe('tightening torque', () => {
  // VDI 2230 part 1, table of tightening torques at 90 % of yield, washer-faced hexagon head, both frictions alike (from memory).
  it.each([
    ['M8', 0.12, 24.6],
    ['M10', 0.12, 48],
    ['M12', 0.12, 84],
    ['M8', 0.14, 27.3],
    ['M10', 0.14, 54],
    ['M12', 0.14, 93],
  ])('%s 8.8 at µ %f is %f N·m', (thread, friction, torqueNm) => {
    const heads: Record<string, [number, number]> = { M8: [11.63, 9], M10: [14.63, 11], M12: [16.63, 13.5] }
    const [headContactDiameterMm, holeDiameterMm] = heads[thread]!
    const result = fasteners.tighten({
      thread: fasteners.parseThread(thread),
      propertyClass: '8.8',
      threadFriction: friction,
      headFriction: friction,
      headContactDiameterMm,
      holeDiameterMm,
      utilisation: 0.9,
    })
    expect(Math.abs(result.torqueNm / torqueNm - 1)).toBeLessThan(0.02)
  })
  it('draws the bolt’s own torque from its geometry: the thread’s share is that of a wedge', () => {
    // Formula: force on an inclined plane, F · d2/2 · tan(φ + ρ'); VDI 2230 linearises it.
    const thread = fasteners.parseThread('M10')
    const d2 = fasteners.pitchDiameterMm(thread)
    const lead = Math.atan(thread.pitchMm / (Math.PI * d2))
    const rub = Math.atan(0.12 / Math.cos(Math.PI / 6))
    const { preloadN, torqueNm } = fasteners.tighten({
      thread,
      propertyClass: '8.8',
      threadFriction: 0.12,
      headFriction: 0.12,
      headContactDiameterMm: 14.63,
      holeDiameterMm: 11,
      utilisation: 0.9,
    })
    const wedge = (((preloadN * d2) / 2) * Math.tan(lead + rub)) / 1000 + (preloadN * 0.12 * (14.63 + 11)) / 4 / 1000
    expect(Math.abs(torqueNm / wedge - 1)).toBeLessThan(0.015)
  })
})

describe('judgement of figures', () => {
  // Common practice, no source: 40 lbf·ft sheared the bolt; 14 to 19 lbf·ft are figures of its kind.
  it('finds 40 lbf·ft on an M8 8.8 far beyond yield', () => {
    const judged = fasteners.judgeSpec({ thread: 'M8', propertyClass: '8.8', torqueNm: nm(40) })
    expect(judged.verdict).toBe('beyond yield')
    expect(judged.utilisation).toBeGreaterThan(1.5)
  })
  it.each([14, 15, 19])('finds %f lbf·ft on it plausible', lbfFt => {
    expect(
      fasteners.judgeSpec({ thread: fasteners.parseThread('M8'), propertyClass: '8.8', torqueNm: nm(lbfFt) }).verdict,
    ).toBe('plausible')
  })
  // Common practice, no source: a valve body's 80 lbf·in on M6, and 80 lbf·ft on the same bolt.
  it('tells inch pounds from foot pounds', () => {
    const m6 = { thread: 'M6', propertyClass: '8.8' }
    expect(fasteners.judgeSpec({ ...m6, torqueNm: units.convert(80, 'lbf·in', 'N·m') }).verdict).toBe('plausible')
    expect(fasteners.judgeSpec({ ...m6, torqueNm: nm(80) }).verdict).toBe('beyond yield')
    expect(fasteners.unitSlip(m6, { value: 80, unit: 'lbf·ft' })?.unit).toBe('lbf·in')
  })
})

describe('wrench and impact', () => {
  it('corrects a setting for a straight adapter by L / (L + E), and not at all at a right angle', () => {
    // Formula: moments about the bolt.
    expect(
      fasteners.wrenchSetting({ targetNm: 50, wrenchLengthMm: 300, adapterLengthMm: 50, adapterAngleDeg: 0 }).settingNm,
    ).toBeCloseTo((50 * 300) / 350, 9)
    expect(
      fasteners.wrenchSetting({ targetNm: 50, wrenchLengthMm: 300, adapterLengthMm: 50, adapterAngleDeg: 90 })
        .settingNm,
    ).toBeCloseTo(50, 9)
  })
  it('counts a wrench as calibrated from a fifth of its range up', () => {
    // ISO 6789 (from memory).
    expect(fasteners.calibratedRange({ minNm: 5, maxNm: 120 }).fromNm).toBeCloseTo(24, 9)
  })
  it('adds torsional springs in series and passes on the root of their stiffness', () => {
    // Formula: k = G J / L, 1/k = Σ 1/ki, peak torque √(2 k E).
    const bar = (lengthMm: number, diameterMm: number) =>
      (79e9 * Math.PI * (diameterMm / 1000) ** 4) / 32 / (lengthMm / 1000)
    expect(fasteners.torsionalStiffness(250, 12.7)).toBeCloseTo(bar(250, 12.7), 6)
    const socket = { kind: 'socket', lengthMm: 38, diameterMm: 22 } as const
    const { stiffness, aloneStiffness, share } = fasteners.blowLeft(
      socket,
      [{ kind: 'extension', lengthMm: 250, diameterMm: 12.7 }],
      2500,
    )
    const alone = 1 / (1 / 2500 + 1 / bar(38, 22))
    const stacked = 1 / (1 / alone + 1 / bar(250, 12.7))
    expect(aloneStiffness).toBeCloseTo(alone, 6)
    expect(stiffness).toBeCloseTo(stacked, 6)
    expect(share).toBeCloseTo(Math.sqrt(stacked / alone) * 0.96, 9)
  })
})

describe('evenness', () => {
  const part = {
    boltCount: 6,
    radiusMm: 110,
    gapMm: 2.5,
    springNPerMm: 900,
    seatNPerMm: 120_000,
    rimNPerMm: 40_000,
    boltNPerMm: 180_000,
  }
  it('pushes back at each place as it is pushed there from every other, and gives way to no push by itself (Maxwell, Betti; Sylvester)', () => {
    for (const seated of [
      [false, false, false, false, false, false],
      [true, false, true, true, false, true],
    ]) {
      const held = [1.1, null, 2.6, null, null, 0.4]
      const { matrix } = fasteners.drawSystem(part, { seated, held, bolt: 1, preloadN: 4000 })
      // General-purpose library: determinants of mathjs, in 10 kN/mm so that they stay numbers.
      for (let size = 1; size <= matrix.length; size++)
        expect(det(matrix.slice(0, size).map(row => row.slice(0, size).map(value => value / 1e4)))).toBeGreaterThan(0)
      for (const [row, values] of matrix.entries())
        for (const [column, value] of values.entries()) expect(value).toBeCloseTo(matrix[column]![row]!, 6)
    }
  })
  it('settles where an independent solver puts it, bolt after bolt', () => {
    const steps = [0, 3, 1, 4, 2, 5].map(bolt => ({ bolt, preloadN: 3000 }))
    const heads: (number | null)[] = [null, null, null, null, null, null]
    for (const [index, state] of fasteners.drawDown(part, steps).entries()) {
      const { bolt, preloadN } = steps[index]!
      const held = heads.map((head, station) =>
        station === bolt || (head !== null && head < state.downMm[station]!) ? null : head,
      )
      const { matrix, load } = fasteners.drawSystem(part, {
        seated: state.downMm.map(value => value > part.gapMm),
        held,
        bolt,
        preloadN,
      })
      const solved = (lusolve(matrix, load) as number[][]).flat()
      solved.forEach((value, station) => expect(state.downMm[station]).toBeCloseTo(value, 9))
      heads[bolt] = state.downMm[bolt]! + preloadN / part.boltNPerMm
    }
  })
  it('holds the forces in balance: bolts against springs and seats', () => {
    const state = fasteners
      .drawDown(
        part,
        [0, 3, 1, 4, 2, 5].map(bolt => ({ bolt, preloadN: 3000 })),
      )
      .at(-1)!
    const under = state.downMm.reduce(
      (sum, down) => sum + part.springNPerMm * down + (down > part.gapMm ? part.seatNPerMm * (down - part.gapMm) : 0),
      0,
    )
    expect(state.preloadN.reduce((sum, preload) => sum + preload, 0)).toBeCloseTo(under, 3)
  })
})
