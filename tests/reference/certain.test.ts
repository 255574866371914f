import { describe, expect, it } from 'vitest'
import { alignment, clutch, decisions, driveline, handling, hydraulics } from '../../core'
import { seededRandom } from '../../core/base/random'

/** Figures that are told with no more certainty than they have. */
describe('bubbles', () => {
  const rise = (diameterMm: number, boreMm: number, slopeDeg = 90) =>
    hydraulics.bubbleRise({ diameterMm, boreMm, slopeDeg })
  // Haberman and Sayre 1958, a rigid sphere in creeping flow: times slower in a tube (table, from memory).
  it.each([
    [0.1, 1.263],
    [0.2, 1.68],
    [0.3, 2.371],
    [0.4, 3.596],
    [0.5, 5.97],
  ])('one of %f of the bore is %f times slower', (ratio, times) => {
    const diameterMm = 0.06 / ratio < 0.5 ? 0.5 * ratio : 0.06
    expect(Math.abs(rise(diameterMm, 50) / rise(diameterMm, diameterMm / ratio) / times - 1)).toBeLessThan(0.03)
  })
  it('climb without a jump from the smallest to those that fill the bore', () => {
    for (const boreMm of [3, 4.5, 8, 12]) {
      let last = rise(0.01 * boreMm, boreMm)
      const most = Math.max(...Array.from({ length: 200 }, (_, index) => rise((index / 200) * 1.2 * boreMm, boreMm)))
      for (let ratio = 0.01; ratio < 1.2; ratio += 0.002) {
        const next = rise(ratio * boreMm, boreMm)
        expect(Math.abs(next - last)).toBeLessThan(0.03 * most)
        last = next
      }
    }
  })
  // Zukoski 1966: a slug is quickest in a tube that leans about half way (from memory).
  it('fill a bore and are quickest where it leans', () => {
    const speeds = [15, 30, 45, 60, 75, 90].map(slopeDeg => rise(20, 19, slopeDeg))
    const quickest = speeds.indexOf(Math.max(...speeds))
    expect([15, 30, 45, 60, 75, 90][quickest]).toBeGreaterThanOrEqual(30)
    expect([15, 30, 45, 60, 75, 90][quickest]).toBeLessThanOrEqual(60)
    expect(speeds[quickest]! / speeds.at(-1)!).toBeGreaterThan(1.2)
    expect(rise(20, 19, 0)).toBe(0)
    expect(rise(20, 19, -45)).toBeCloseTo(-rise(20, 19, 45), 9)
  })
})

describe('a reservoir that is filled from below', () => {
  it('runs over at its brim, and what ran over is counted', () => {
    const line = {
      boreMm: 4,
      pieces: [{ lengthMm: 1200, slopeDeg: 30 }],
      masterBoreMm: 19,
      strokeMm: 20,
      pedalRatio: 6,
      airMl: 5,
      heldShare: 0.9,
      reservoirMl: 200,
      lowMl: 100,
      pressureBar: 20,
      lostMostMm: 0.6,
    }
    const full = hydraulics.simulateBleed({ ...line, brimMl: 210 }, 'reverse', 3)
    const drawnDown = hydraulics.simulateBleed({ ...line, brimMl: 5000 }, 'reverse', 3)
    const last = full.rounds.at(-1)!
    expect(last.reservoirMl).toBeLessThanOrEqual(210)
    expect(full.spilledMl).toBeGreaterThan(0)
    expect(last.reservoirMl + full.spilledMl).toBeCloseTo(drawnDown.rounds.at(-1)!.reservoirMl, 6)
    expect(drawnDown.spilledMl).toBe(0)
    expect(full.usedMl).toBeCloseTo(drawnDown.usedMl, 6)
  })
})

describe('a pumped pedal', () => {
  it('says nearly the same of readings that nobody could tell apart', () => {
    const air = (risesMm: number) =>
      hydraulics.pumpedPedal({ risesMm, strokes: 15 }).find(({ cause }) => cause === 'air')!.probability
    for (let risesMm = 0; risesMm < 20; risesMm += 0.1)
      expect(Math.abs(air(risesMm + 0.1) - air(risesMm))).toBeLessThan(0.02)
    expect(air(20)).toBeGreaterThan(0.5)
    expect(air(0)).toBeLessThan(0.15)
  })
})

describe('causes', () => {
  const yesNo = [
    { id: 'yes', label: 'yes' },
    { id: 'no', label: 'no' },
  ]
  const test = (id: string, alike?: string) => ({
    id,
    title: id,
    minutes: 0,
    outcomes: yesNo,
    ...(alike ? { alike } : {}),
    usual: [0.1, 0.9],
    given: { one: [0.8, 0.2] },
  })
  const cause = (id: string, prior: number) => ({ id, title: id, prior, boxOut: false, todo: '' })
  const tables = (alike?: string) => ({
    id: 't',
    title: 'T',
    origin: 'made up',
    causes: [cause('one', 0.2), cause('other', 0.8)],
    tests: [test('rattle', alike), test('vibration', alike)],
  })
  const odds = (alike?: string) => {
    const [first] = decisions.rankCauses({ rattle: 'yes', vibration: 'yes' }, tables(alike))
    return first!.probability / (1 - first!.probability)
  }
  // Worked by hand: odds 1/4; each sign alone makes them 8 times as high, both together 64 times where they are independent,
  // and 8^(2 / 1.5) = 16 times with a correlation of a half.
  it('that are told by signs which go together count them less than twice', () => {
    expect(odds()).toBeCloseTo(64 / 4, 9)
    expect(odds('shaking')).toBeCloseTo(16 / 4, 9)
  })
})

describe('renew now or later', () => {
  // Worked by hand: 40 + 0.5 h × 60 = 70 now; later 40 + 5 h × 60 + 60 = 400, in three years at 10 in 100: 300.53.
  it('counts what is paid later for less, and the new one fails as well', () => {
    const asked = { partCost: 40, minutesNow: 30, minutesLater: 300, labourPerHour: 60, comebackCost: 60, chance: 0.25 }
    expect(decisions.renewNow(asked)).toMatchObject({ expectedNow: 70, expectedLater: 100, advice: 'renew' })
    const later = decisions.renewNow({ ...asked, yearsLater: 3, discountPerYear: 0.1, newFails: 0.05 })
    expect(later.expectedLater).toBeCloseTo(0.25 * (400 / 1.1 ** 3), 9)
    expect(later.expectedNow).toBeCloseTo(70 + 0.05 * (400 / 1.1 ** 3), 9)
    expect(later.advice).toBe('leave')
  })
})

describe('supports', () => {
  it('in one line hold nothing upright', () => {
    const stand = (id: string, xMm: number) => ({ id, xMm, yMm: 0, ratingKg: 3000 })
    const car = { carKg: 1300, frontShare: 0.6, wheelbaseMm: 2600, trackMm: 1500, wheelsDown: [], removed: [] }
    const line = handling.standLoads({ ...car, stands: [stand('a', 200), stand('b', 2400)] })
    expect(line).toMatchObject({ verdict: 'no', insideMm: [0, 0] })
    expect(() => handling.standLoads({ ...car, wheelsDown: ['front', 'rear'], stands: [] })).toThrow('stands')
  })
})

describe('a shaft line', () => {
  const geometry = { mountBehindMm: 800, tailBehindMm: 900, shaftLengthMm: 1400 }
  const residual = (members: driveline.LineMember[], turnDeg: number) => {
    const drop = -geometry.tailBehindMm * Math.tan((turnDeg * Math.PI) / 180)
    return driveline.shaftLine(
      members.map((member, index) => ({
        ...member,
        pitchDeg:
          member.pitchDeg -
          (index === 0 ? turnDeg : index === 1 ? (Math.atan2(drop, geometry.shaftLengthMm) * 180) / Math.PI : 0),
      })),
    ).residualDeg
  }
  // Checked by trying every hundredth of a degree.
  it('is put right by the shim that leaves least, in whichever valley that lies', () => {
    const random = seededRandom(20261130)
    for (let line = 0; line < 40; line++) {
      const members = ['box', 'shaft', 'axle'].map(id => ({ id, pitchDeg: -6 + 12 * random(), yawDeg: 0 }))
      const found = driveline.correctLine(members, geometry)
      const least = Math.min(...Array.from({ length: 1201 }, (_, step) => residual(members, -6 + step / 100)))
      expect(found.after.residualDeg).toBeLessThanOrEqual(least + 0.06)
    }
  })
  // Common practice, no source: a four-stroke engine of eight fires four times a turn.
  it.each([3, 4, 6, 8])('of %i cylinders fires half as often in a turn', cylinders => {
    const tire = { widthMm: 205, aspect: 55, rimIn: 16 }
    const rows = driveline.noiseOrders({
      speedKmh: 80,
      gearRatio: 1,
      finalRatio: 3.5,
      tire,
      cylinders,
      propshaft: true,
    })
    const firing = rows.filter(({ part, from }) => part === 'engine' && from.startsWith('the firing'))
    expect(firing.map(({ order }) => order)).toEqual([cylinders / 2])
    expect(new Set(rows.map(({ part, order }) => `${part} ${order}`)).size).toBe(rows.length)
  })
})

describe('a disc', () => {
  const disc = { newMm: 8, minimumMm: 6, distanceKm: 100_000 }
  it('with a hundredth left at one place is not good', () => {
    expect(clutch.discVerdict({ ...disc, readingsMm: [7.8, 7.8, 7.8, 6.01] }).verdict).not.toBe('good')
    expect(clutch.discVerdict({ ...disc, readingsMm: [7.8, 7.8, 7.8, 6.3] }).verdict).toBe('worn')
    expect(clutch.discVerdict({ ...disc, readingsMm: [7.8, 7.7, 7.8] }).verdict).toBe('good')
  })
  it('that is thicker than new says that the figure is wrong', () => {
    const found = clutch.discVerdict({ ...disc, readingsMm: [8.4, 8.5, 8.4] })
    expect(found).toMatchObject({ thickerThanNew: true, wornShare: 0 })
    expect(found.because).toContain('wrong')
    expect(found.remainingKm).toBeUndefined()
  })
  it('is foretold for another driver too, and not without an end', () => {
    const { remainingKm, remainingRangeKm } = clutch.discVerdict({ ...disc, readingsMm: [7.0, 7.0, 7.0] })
    expect(remainingRangeKm![0]).toBeLessThan(remainingKm! / 1.4)
    expect(remainingRangeKm![1]).toBeGreaterThan(remainingKm! * 1.4)
    const hardly = clutch.discVerdict({ ...disc, readingsMm: [7.88, 7.88, 7.88] })
    expect(hardly.remainingRangeKm?.[1] ?? 0).toBeLessThanOrEqual(300_000)
  })
})

describe('a face read at few places', () => {
  // Formula: a face bent twice round it, h = a cos 2θ, read at n places that miss its crests by half a spacing.
  it('may be warped by more than it shows, and says how much', () => {
    const read = (places: number, offDeg: number) =>
      alignment.fitRunout(
        Array.from({ length: places }, (_, index) => {
          const angleDeg = (index * 360) / places
          return { angleDeg, heightMm: 0.05 * Math.cos((2 * (angleDeg + offDeg) * Math.PI) / 180) }
        }),
      )
    for (const places of [6, 8]) {
      const { warpMm, warpUnseenMm } = read(places, 180 / places)
      expect(warpMm + warpUnseenMm).toBeGreaterThanOrEqual(0.1 - 1e-9)
    }
    expect(read(12, 15).warpUnseenMm).toBe(0)
  })
  it('takes the scatter of the dial off what it shows', () => {
    const random = seededRandom(7)
    const still = Array.from({ length: 12 }, (_, index) => ({
      angleDeg: index * 30,
      heightMm: 0.003 * Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random()),
    }))
    const { warpMm, warpLikelyMm } = alignment.fitRunout(still)
    expect(warpLikelyMm).toBeLessThan(warpMm)
    expect(warpLikelyMm).toBeLessThan(0.008)
  })
})

describe('a pilot', () => {
  it('that may be shorter holds less at worst', () => {
    const length = (mm: number, plusMinusMm = 0) => ({ mm, plusMinusMm })
    const stack = {
      shaftStandsOut: length(40),
      faceToBellFace: length(0),
      pilotDepth: length(20),
      pilotLength: length(12, 2),
      holeDepth: length(60),
      tipLength: length(30),
    }
    expect(alignment.pilotDepth(stack)).toMatchObject({ engagementMm: 12, worstMm: [10, 14] })
  })
})

describe('lowering a tail', () => {
  // Checked by trying every tenth of a millimetre.
  it('is enough from the first place on where it is', () => {
    const points: handling.TiltPoint[] = [
      { name: 'bolts', xMm: 300, yMm: 380, along: 'x', wantedMm: 30 },
      { name: 'intake', xMm: -420, yMm: 260, along: 'y', roomMm: 70 },
    ]
    const holds = (loweredMm: number) => Math.abs(handling.tilt({ loweredMm, behindMm: 900 }, points).movesMm[0]!) >= 30
    const first = Array.from({ length: 4000 }, (_, step) => step / 10).find(holds)!
    expect(Math.abs(handling.tiltWindow(900, points).enoughMm! - first)).toBeLessThan(0.11)
  })
})
