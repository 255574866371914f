import { describe, expect, it } from 'vitest'
import { alignment, clutch, decisions, driveline, handling, hydraulics, sequence } from '../../core'

/** More cases worked by hand from the definitions; each says what it was worked from. */
describe('clutch', () => {
  // By hand: 1500 kg, r/i = 0.3/15 = 0.02 m, J = 1500 × 0.0004 = 0.6 kg·m²; ω = 100 rad/s; 200 N·m against 50: ½ × 0.6 × 10⁴ × 200/150 = 4000 J in 0.6 × 100/150 = 0.4 s.
  it('heats by half the car, and more for what the hill holds back', () => {
    const found = clutch.launchHeat({
      massKg: 1500,
      ratio: 15,
      tyreRadiusMm: 300,
      enginePerMinute: (100 * 60) / (2 * Math.PI),
      clutchNm: 200,
      loadNm: 50,
      ironKg: 8,
      faceMm2: 20_000,
      faces: 2,
    })
    expect(found.energyJ).toBeCloseTo(4000, 6)
    expect(found.seconds).toBeCloseTo(0.4, 9)
    expect(found.riseC).toBeCloseTo(4000 / (8 * 500), 9)
    expect(found.perAreaJMm2).toBeCloseTo(0.1, 9)
  })
  // By hand: 62 − 51 = 11 mm against 3 to 6; shims of 2 and 3 bring it to 4 with 7 (2 + 2 + 3), the sum nearest to the middle of 4.5.
  it('sets a slave round the shaft by the sum of shims nearest to the middle', () => {
    const found = clutch.concentricGap({ bearingMm: 62, fingersMm: 51, windowMm: [3, 6], shimsMm: [2, 3] })
    expect(found).toMatchObject({ gapMm: 11, verdict: 'too-far' })
    expect(Math.abs(11 - found.shimMm! - 4.5)).toBeCloseTo(0.5, 9)
    expect(clutch.concentricGap({ bearingMm: 50, fingersMm: 48, windowMm: [3, 6], shimsMm: [2] }).verdict).toBe(
      'too-near',
    )
    expect(clutch.concentricGap({ bearingMm: 53, fingersMm: 48, windowMm: [3, 6], shimsMm: [2] }).verdict).toBe('right')
  })
  // By hand, lever of the first kind: 6000 N over 4 are 1500 N; 0.5 mm off two faces are 1 mm, 4 mm at the bearing: 6 J.
  it('asks of the hydraulics what the fingers draw in', () => {
    const found = clutch.releaseDemand({ clampN: 6000, fingerRatio: 4, liftPerFaceMm: 0.5, faces: 2 })
    expect(found).toEqual({ bearingN: 1500, bearingMm: 4, workJ: 6 })
  })
  // By hand: 70 to 110 are 40 between, 110 to 125 are 15 beyond; free play 30 lies in 20 to 40.
  it('frees the drive before the power take-off', () => {
    const good = { freePlayMm: 30, driveFreesMm: 70, takeOffFreesMm: 110, endMm: 125 }
    expect(clutch.twoStagePedal(good)).toMatchObject({ betweenMm: 40, overTravelMm: 15, faults: [] })
    expect(clutch.twoStagePedal({ ...good, driveFreesMm: 115 }).faults).toContain('stages-swapped')
    expect(clutch.twoStagePedal({ ...good, endMm: 112 }).faults).toEqual(['no-over-travel'])
    expect(clutch.twoStagePedal({ ...good, brakeTouchesMm: 100 }).faults).toEqual(['brake-early'])
  })
  // Bayes by hand, stroke alone where the travel said nothing: 0.08 × 0.9 for air against 0.62 × 0.04 + 0.12 × 0.1 + 0.08 × 0.05 + 0.1 × 0.2 with a spread that drowns the rest.
  it('finds air behind a short stroke where the disc tells nothing', () => {
    const [first, ...rest] = clutch.travelCauses({
      predictedMm: 8,
      spreadMm: 10,
      measuredMm: 8,
      strokeMm: 5,
      strokeWantedMm: 10,
    })
    expect(first!.cause).toBe('air')
    const by = { air: 0.072, sound: 0.0248, bearing: 0.012, faces: 0.004, sensor: 0.02 }
    const total = Object.values(by).reduce((sum, value) => sum + value, 0)
    for (const { cause, share } of [first!, ...rest]) expect(share).toBeCloseTo(by[cause] / total, 1)
  })
  // By hand: 28.2 − 28.0 slides, 29 − 28 rattles; a face of 238 does not carry a lining of 240.
  it('lays parts that never met against each other', () => {
    expect(clutch.clutchFits({ hubMm: 28.2, shaftMm: 28, faceMm: 245, discMm: 240 }).verdict).toBe('fits')
    expect(clutch.clutchFits({ hubMm: 29, shaftMm: 28 }).verdict).toBe('does-not-fit')
    expect(clutch.clutchFits({ faceMm: 238, discMm: 240 }).findings[0]).toMatchObject({ level: 'renew', byMm: -2 })
    expect(clutch.clutchFits({ faceMm: 256, discMm: 240 }).verdict).toBe('look')
  })
  // By hand: 26 + 3 − 25 = 4 mm nearer; 32 − 14 − 3 = 15 mm of an M10 hold, 1.5 diameters.
  it('moves fingers and thread by spacer and height', () => {
    const found = clutch.flywheelMatch(
      { faceMm: 25, ringMm: 12, teeth: 130 },
      { faceMm: 26, ringMm: 9, teeth: 130 },
      { spacerMm: 3, clampedMm: 14, boltMm: 32, threadMm: 10, holeMm: 20, bearingRoomMm: 6 },
    )
    expect(found).toMatchObject({ fingersMm: 4, ringMm: 0, engagedMm: 15, engagedDiameters: 1.5, verdict: 'look' })
  })
})

describe('alignment', () => {
  // By hand: half of 0.3 and half of 0.1 beside each other; splines forgive 0.15.
  it('puts two hubs beside each other by half the play of the tool in each', () => {
    const found = alignment.hubOffset({ frontPlayMm: 0.3, rearPlayMm: 0.1, splinePlayMm: 0.15 })
    expect(found.offsetMm).toBeCloseTo(0.2, 12)
    expect(found.goesOn).toBe(false)
  })
  // By hand: gaps of 3 + 0.5 cos(θ − 90°) at the top, right, bottom, left are 3, 3.5, 3, 2.5.
  it('finds a disc off the middle by its gaps', () => {
    const found = alignment.rimGaps([3, 3.5, 3, 2.5])
    expect(found.offsetMm).toBeCloseTo(0.5, 9)
    expect(found.moveTowardDeg).toBeCloseTo(90, 6)
    expect(found.meanGapMm).toBeCloseTo(3, 9)
    expect(found.restMm).toBeCloseTo(0, 9)
  })
})

describe('decisions', () => {
  const way = { money: 100, finishMinutes: 0, chance: 0, comebackCost: 0, closed: null }
  // By hand: 100 + 0.3 × 500 = 250 against 200 + 0.05 × 500 = 225.
  it('takes the way that costs least with its risk, in time', () => {
    const ways = [
      { ...way, id: 'cheap', chance: 0.3, comebackCost: 500 },
      { ...way, id: 'sound', money: 200, finishMinutes: 90, chance: 0.05, comebackCost: 500 },
    ]
    expect(decisions.compareWays(ways, null)).toMatchObject({ advised: 'sound' })
    expect(decisions.compareWays(ways, null).ways.map(({ expected }) => expected)).toEqual([250, 225])
    // Ninety minutes more do not fit into sixty.
    expect(decisions.compareWays(ways, 60)).toMatchObject({ advised: 'cheap' })
    expect(decisions.compareWays(ways, 60).ways[1]!.lateMinutes).toBe(30)
  })
  // By hand, 60 an hour: 300 over 2 × 5 jobs are 30; a day's rent 20 and 30 min 30 are 50; fetching 30; without 45. Paid after 300 / 30 = 10.
  it('buys, rents, borrows or does without by what one job costs', () => {
    const found = decisions.toolWays({
      buy: 300,
      rentPerDay: 20,
      fetchMinutes: 30,
      jobsAYear: 2,
      labourPerHour: 60,
      days: 1,
      withoutMinutes: 45,
    })
    expect(found.ways.map(({ id, cost }) => [id, cost])).toEqual([
      ['buy', 30],
      ['rent', 50],
      ['borrow', 30],
      ['without', 45],
    ])
    expect(found.paysAfterJobs).toBe(10)
  })
  // Bayes by hand: 0.5 × 2 × 3 against 0.5 × 0.5: 3 / 3.25.
  it('weighs why a box does not go home', () => {
    const cause = { title: '', todo: '', even: 1, tilted: 1 }
    const sign = { sign: 'pilot', factor: 3, because: 'seen' }
    const mating = {
      causes: [
        { ...cause, id: 'one', prior: 0.5, tilted: 2, signs: [sign] },
        { ...cause, id: 'other', prior: 0.5, tilted: 0.5, signs: [] },
      ],
    } as unknown as Parameters<typeof decisions.matingCauses>[0]
    const ranked = decisions.matingCauses(mating, 'tilted', () => true)
    expect(ranked.map(({ id }) => id)).toEqual(['one', 'other'])
    expect(ranked[0]!.probability).toBeCloseTo(3 / 3.25, 9)
  })
})

describe('driveline and handling', () => {
  // A turn by hand: 600 mm along a box that falls 3°, 100 mm above its axis: 600 cos 3° + 100 sin 3° = 599.178 + 5.234.
  it('cuts the floor where the shifter comes to stand', () => {
    const found = driveline.cutCentre({
      bellToShifterMm: 600,
      riseMm: 100,
      fallDeg: 3,
      engineToMarkMm: 500,
      asideMm: 12,
    })
    expect(found.behindMarkMm).toBeCloseTo(104.411, 2)
    expect(found.rightOfMarkMm).toBe(12)
  })
  // By hand: 1300 − 40 − 25 from joint to joint; 110 − 25 of spline stay in a shaft of 34: two and a half diameters.
  it('makes a shaft as long as leaves its slip', () => {
    expect(
      driveline.shaftLength({ sealToJointMm: 1300, yokeHomeMm: 40, slipMm: 25, splineMm: 110, shaftMm: 34 }),
    ).toEqual({ lengthMm: 1235, engagedMm: 85, engagedDiameters: 2.5 })
  })
  // Lever and 3-4-5 triangle by hand: 200 kg at 400 of 1600 mm are 50 kg; half of 600 across and 400 down make legs of 500: 25 × 500/400.
  it('hangs a tube in a strap', () => {
    const found = handling.tubeStrap({
      massKg: 200,
      balanceMm: 400,
      strapMm: 1600,
      spanMm: 600,
      hangMm: 360,
      dropMm: 40,
      braceMm: 800,
      braceGapMm: 60,
    })
    expect(found.loadKg).toBeCloseTo(50, 9)
    expect(found.legKg).toBeCloseTo(31.25, 9)
    expect(found.lengthMm).toBeCloseTo(1000, 9)
    // 40 down at 1600 are 20 at 800.
    expect(found.timberMm).toBeCloseTo(40, 9)
    expect(found.meetsAtMm).toBeCloseTo(120, 9)
  })
})

describe('hydraulics', () => {
  // By hand: 14 of 10 to 18 stands in the middle; 19 is worn where travel grows with wear, short where it shrinks.
  it('finds an actuator in its window', () => {
    const window = { lowMm: 10, highMm: 18 }
    expect(hydraulics.actuatorWindow({ ...window, reportedMm: 14, growsWithWear: true })).toMatchObject({
      verdict: 'inside',
      share: 0.5,
    })
    expect(hydraulics.actuatorWindow({ ...window, reportedMm: 19, growsWithWear: true }).verdict).toBe('worn')
    expect(hydraulics.actuatorWindow({ ...window, reportedMm: 19, growsWithWear: false }).verdict).toBe('short')
  })
  // By hand: 8, 4, 2 fall by half each round; 2 → 1 → 0.5 → 0.25 are three more below 0.3.
  it('counts rounds by how air falls', () => {
    const found = hydraulics.roundsLeft({ airMl: [8, 4, 2], allowedMl: 0.3 })
    expect(found.keeps).toBeCloseTo(0.5, 9)
    expect(found).toMatchObject({ rounds: 3, fewest: 3, most: 3 })
    expect(hydraulics.roundsLeft({ airMl: [2, 2], allowedMl: 0.3 }).rounds).toBeNull()
  })
})

describe('days and minutes', () => {
  const hours: [number, number][] = [
    [0, 480],
    [1440, 1920],
  ]
  const job = (id: string, minutes: number, dueAt: number | null) => ({
    id,
    segments: [{ minutes, waitAfter: 0, readyAt: null, because: null }],
    notBefore: 0,
    dueAt,
    site: 'bay' as const,
    travelMinutes: 0,
  })
  // Every order by hand: with 300 and 200 minutes in days of 480 and the short one due at 210, it goes first; the long one then ends at 1440 + 20.
  it('lays two cars onto two days', () => {
    const plan = sequence.planWeek([job('long', 300, null), job('short', 200, 210)], { bay: hours, driveway: hours })
    expect(plan.ends).toEqual({ short: 200, long: 1460 })
    expect(plan.late).toEqual({ short: 0, long: 0 })
    expect(plan.proven).toBe(true)
  })
  // Smith's rule (1956): with nothing due, the shortest first gives the least sum of ends.
  it('takes the shortest first where nothing is due', () => {
    const days: [number, number][] = [[0, 10_000]]
    const jobs = [job('c', 300, null), job('a', 60, null), job('b', 120, null)]
    const plan = sequence.planWeek(jobs, { bay: days, driveway: days })
    expect(plan.ends).toEqual({ a: 60, b: 180, c: 480 })
  })
  // Conjugate normal by hand: a narrow estimate that counts as four times seen, against four at twice its middle: half of ln 2.
  it('moves an estimate half the way when as much was seen as it counts for', () => {
    const prior = [9.999, 10, 10.001] as [number, number, number]
    const { factor, weight } = sequence.learnMinutes(
      prior,
      [20, 20, 20, 20].map(minutes => ({ minutes })),
    )
    expect(weight).toBe(0.5)
    expect(Math.log(factor)).toBeCloseTo(Math.LN2 / 2, 4)
  })
})
