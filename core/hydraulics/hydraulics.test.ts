import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  actuatorWindow,
  adviseBleed,
  airSwallows,
  bleedRound,
  bubbleRise,
  pumpedPedal,
  releaseChain,
  releaseTravel,
  shippedWays,
  simulateBleed,
  strokesToLow,
  trappedAir,
} from '.'
import type { BleedLine, BleedPhysics, BleedSituation, ReleaseChain } from '.'

const linkage = {
  pedalTravelMm: 140,
  pedalRatio: 6,
  masterBoreMm: 19,
  slaveBoreMm: 22,
  forkRatio: 2,
  fingerRatio: 3.5,
  faces: 2,
}

describe('release travel', () => {
  it('loses what is lost before anything moves, and nothing below zero', () => {
    expect(releaseTravel({ ...linkage, lostMm: 20 }).slaveMm).toBeCloseTo(
      releaseTravel({ ...linkage, pedalTravelMm: 120 }).slaveMm,
      9,
    )
    expect(releaseTravel({ ...linkage, lostMm: 300 })).toEqual({ slaveMm: 0, bearingMm: 0, liftPerFaceMm: 0 })
  })
  it('refuses what is no linkage, with the field', () => {
    for (const [field, value] of [
      ['masterBoreMm', 0],
      ['slaveBoreMm', Number.NaN],
      ['pedalRatio', -2],
      ['faces', 0],
      ['forkRatio', 0],
    ] as const) {
      expect(() => releaseTravel({ ...linkage, [field]: value })).toThrow(field)
    }
  })
})

describe('release chain', () => {
  const chain: ReleaseChain = {
    linkage: { kind: 'hydraulic', masterBoreMm: 19, slaveBoreMm: 19 },
    pedalTravelMm: 150,
    pedalRatio: 6,
    forkRatio: 2,
    fingerRatio: 3.2,
    faces: 2,
    freePlayMm: 6,
    liftWantedMm: 1,
    bearingMostMm: 14,
    releaseN: 1500,
  }
  it('passes from free play to take-up to release, and tells force, pressure and margin', () => {
    const found = releaseChain(chain)
    expect(found.verdict).toBe('right')
    expect(found.takeUpMm).toBe(6)
    // 1 mm × 2 faces × 3.2 × 2 at the slave, equal bores, × 6 at the pad, after the free play.
    expect(found.releasedMm).toBeCloseTo(6 + 1 * 2 * 3.2 * 2 * 6, 9)
    expect(found.pedalN).toBeCloseTo(1500 / 2 / 6, 9)
    expect(found.pressureBar).toBeCloseTo((750 / ((Math.PI / 4) * 19 ** 2)) * 10, 6)
    expect(found.curve.filter(point => point.pedalMm < 6).every(point => point.liftPerFaceMm === 0)).toBe(true)
    expect(found.curve.at(-1)!.liftPerFaceMm).toBeCloseTo(found.liftPerFaceMm, 9)
  })
  it('finds upgrades that do not fit before they are fitted', () => {
    expect(releaseChain({ ...chain, linkage: { kind: 'hydraulic', masterBoreMm: 19, slaveBoreMm: 27 } })).toMatchObject(
      { verdict: 'short', releasedMm: null },
    )
    expect(releaseChain({ ...chain, faces: 4 }).verdict).toBe('short')
    expect(releaseChain({ ...chain, linkage: { kind: 'hydraulic', masterBoreMm: 22, slaveBoreMm: 19 } })).toMatchObject(
      { verdict: 'over' },
    )
    expect(releaseChain({ ...chain, releaseN: 3200 }).verdict).toBe('heavy')
  })
  it('works through cable and lever too, whose stretch is lost travel', () => {
    const cable = releaseChain({ ...chain, linkage: { kind: 'cable', ratio: 1, stretchMm: 1 } })
    expect(cable.slaveMm).toBeNull()
    expect(cable.pressureBar).toBeNull()
    expect(cable.takeUpMm).toBeCloseTo(6 + 1 * 1 * 6, 9)
  })
  it('refuses a pedal that is all free play', () => {
    expect(() => releaseChain({ ...chain, freePlayMm: 90, lostMm: 80 })).toThrow('freePlayMm')
  })
})

describe('an automated actuator', () => {
  it('stands inside its window, beyond it on the side of wear, or away from it', () => {
    const window = { lowMm: 8, highMm: 21, growsWithWear: true }
    expect(actuatorWindow({ ...window, reportedMm: 14 })).toMatchObject({ verdict: 'inside' })
    expect(actuatorWindow({ ...window, reportedMm: 22 })).toMatchObject({ verdict: 'worn' })
    expect(actuatorWindow({ ...window, reportedMm: 6 })).toMatchObject({ verdict: 'short' })
    expect(() => actuatorWindow({ ...window, highMm: 7, reportedMm: 6 })).toThrow('highMm')
  })
})

describe('trapped air', () => {
  const lost = { lostPedalMm: 60, pedalRatio: 6, masterBoreMm: 19, pressureBar: 15 }
  it('lies between slow and quick, and swallows what it was told from', () => {
    const found = trappedAir(lost)
    expect(found.quickMl).toBeGreaterThan(found.volumeMl)
    expect(airSwallows({ ...lost, volumeMl: found.volumeMl })).toBeCloseTo(60, 9)
  })
  it('is less where the hose takes some of the travel, and never below none', () => {
    expect(trappedAir({ ...lost, swellingMlPerBar: 0.05 }).volumeMl).toBeLessThan(trappedAir(lost).volumeMl)
    expect(trappedAir({ ...lost, swellingMlPerBar: 1 }).volumeMl).toBe(0)
    expect(() => trappedAir({ ...lost, pressureBar: 0 })).toThrow('pressureBar')
  })
})

describe('reservoir guard', () => {
  it('counts whole strokes to the low mark', () => {
    // 19 mm bore and 20 mm stroke move 5.67 ml.
    const guard = { reservoirMl: 200, lowMl: 100, masterBoreMm: 19, strokeMm: 20, deliveredShare: 1 }
    expect(strokesToLow(guard)).toBe(17)
    expect(strokesToLow({ ...guard, deliveredShare: 0 })).toBe(Infinity)
    expect(() => strokesToLow({ ...guard, reservoirMl: 80 })).toThrow('reservoirMl')
  })
})

const line: BleedLine = {
  boreMm: 4.5,
  pieces: [
    { lengthMm: 500, slopeDeg: 20 },
    { lengthMm: 400, slopeDeg: 5 },
    { lengthMm: 500, slopeDeg: 60 },
  ],
  masterBoreMm: 19,
  strokeMm: 22,
  pedalRatio: 6,
  airMl: 4,
  heldShare: 0.4,
  reservoirMl: 250,
  lowMl: 120,
  pressureBar: 20,
  lostMostMm: 8,
}
const flowing = ['pump-rest', 'two-person', 'vacuum', 'pressure', 'reverse', 'gravity'] as const

describe('simulated bleeding', () => {
  it('keeps air and fluid: nothing comes or goes that is not counted (property)', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...flowing),
        fc.integer({ min: 1, max: 1e6 }),
        fc.double({ min: 0.2, max: 10, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.array(
          fc.record({
            lengthMm: fc.double({ min: 100, max: 900, noNaN: true }),
            slopeDeg: fc.double({ min: -40, max: 80, noNaN: true }),
          }),
          { minLength: 2, maxLength: 5 },
        ),
        (method, seed, airMl, heldShare, pieces) => {
          const volume = (((pieces.reduce((sum, piece) => sum + piece.lengthMm, 0) * Math.PI) / 4) * 4.5 ** 2) / 1000
          const start = { ...line, pieces, airMl: Math.min(airMl, volume * 0.9), heldShare }
          const { rounds } = simulateBleed(start, method, seed)
          for (const round of rounds) {
            expect(round.airMl + round.outTopMl + round.outBleederMl).toBeCloseTo(start.airMl, 6)
            expect(round.reservoirMl + round.spilledMl + (volume - round.airMl) + round.caughtMl).toBeCloseTo(
              start.reservoirMl + (volume - start.airMl) + round.addedMl,
              6,
            )
            expect(round.airMl).toBeGreaterThanOrEqual(-1e-9)
          }
        },
      ),
      { numRuns: 40 },
    )
  })
  it('never gains air from round to round, and the same seed gives the same line', () => {
    for (const method of flowing) {
      const { rounds } = simulateBleed(line, method, 7)
      rounds.forEach((round, index) =>
        expect(round.airMl).toBeLessThanOrEqual((rounds[index - 1]?.airMl ?? line.airMl) + 1e-9),
      )
      expect(simulateBleed(line, method, 7).rounds).toEqual(rounds)
    }
  })
  it('shows why a rest works: a short one leaves air that a long one lets climb', () => {
    const still = simulateBleed(line, 'pump-rest', 5).rounds[0]!
    expect(still.outTopMl).toBeGreaterThan(line.airMl * 0.4)
    expect(still.outBleederMl).toBe(0)
    const level = simulateBleed({ ...line, pieces: [{ lengthMm: 1400, slopeDeg: 0 }] }, 'pump-rest', 5)
    expect(level.rounds.at(-1)!.outTopMl).toBe(0)
    expect(level.roundsNeeded).toBeNull()
  })
  it('counts what a reservoir wants again, and refuses what is no line', () => {
    expect(simulateBleed({ ...line, reservoirMl: 130 }, 'two-person', 2).rounds.at(-1)!.addedMl).toBeGreaterThan(0)
    expect(() => simulateBleed({ ...line, pieces: [] }, 'gravity', 1)).toThrow('pieces')
    expect(() => simulateBleed({ ...line, airMl: 90 }, 'gravity', 1)).toThrow('airMl')
    expect(() => simulateBleed(line, 'unopened', 1)).toThrow('method')
  })
})

describe('a bubble', () => {
  it('climbs by its size and the slope, not at all in a level line or where a narrow bore holds it', () => {
    const rise = (diameterMm: number, boreMm = 4.5, slopeDeg = 90) => bubbleRise({ diameterMm, boreMm, slopeDeg })
    expect(rise(0.2)).toBeGreaterThan(rise(0.1))
    expect(rise(0.2, 4.5, 30)).toBeCloseTo(rise(0.2) / 2, 9)
    expect(rise(0.2, 4.5, 0)).toBe(0)
    expect(rise(0.2, 4.5, -90)).toBeCloseTo(-rise(0.2), 9)
    expect(rise(4, 3)).toBe(0)
    expect(rise(6, 6)).toBeGreaterThan(0)
  })
})

describe('a pumped pedal', () => {
  const share = (seen: Parameters<typeof pumpedPedal>[0]) =>
    Object.fromEntries(pumpedPedal(seen).map(({ cause, probability }) => [cause, probability]))
  it('adds up to one and turns with what is seen', () => {
    const ranked = pumpedPedal({ risesMm: 30, strokes: 18, fallsBackShare: 0.9, sinksMm: 1, wet: false })
    expect(ranked.reduce((sum, entry) => sum + entry.probability, 0)).toBeCloseTo(1, 9)
    expect(ranked[0]).toMatchObject({ cause: 'air', because: expect.arrayContaining(['The bite rises with strokes.']) })
    expect(pumpedPedal({ risesMm: 30, strokes: 18, sinksMm: 25, wet: true })[0]!.cause).toBe('leaking-seal')
    expect(pumpedPedal({ risesMm: 0, strokes: 18, sinksMm: 0, wet: false, biteShare: 0.85 })[0]!.cause).toBe(
      'worn-clutch',
    )
    expect(pumpedPedal({ risesMm: 0, strokes: 18, sinksMm: 0, wet: false, biteShare: 0.4 })[0]!.cause).toBe('sound')
  })
  it('says less the less was looked at', () => {
    expect(share({ risesMm: 30, strokes: 18 })['leaking-seal']).toBeLessThan(
      share({ risesMm: 30, strokes: 18, sinksMm: 25 })['leaking-seal']!,
    )
    expect(() => pumpedPedal({ risesMm: 5, strokes: 0 })).toThrow('strokes')
  })
})

describe('a round', () => {
  it('follows from what a way counts: strokes, portions at the pace of the flow, minutes with the bleeder open', () => {
    expect(bleedRound('pump-rest')).toMatchObject({ strokes: 25, deliveredShare: 0, flowSeconds: 0, restMinutes: 60 })
    expect(bleedRound('vacuum')).toMatchObject({ strokes: 0, flowMlS: 1.5, flowSeconds: 40 })
    expect(bleedRound('reverse')).toMatchObject({ flowMlS: -1.5, flowSeconds: 40 })
    expect(bleedRound('gravity')).toMatchObject({ flowMlS: 0.12, flowSeconds: 600, restMinutes: 0 })
    expect(() => bleedRound('pre-filled')).toThrow('method')
  })
  it('of a way that a layout brings of its own is simulated and advised like any other', () => {
    const own: BleedPhysics = {
      ...shippedWays.find(way => way.id === 'vacuum')!,
      id: 'own',
      title: 'Own',
      portionMl: 40,
      wants: { id: 'jar', name: 'a jar' },
    }
    expect(bleedRound(own).flowSeconds).toBe(80)
    expect(simulateBleed(line, own, 3).rounds[0]!.outBleederMl).toBeGreaterThan(
      simulateBleed(line, 'vacuum', 3).rounds[0]!.outBleederMl,
    )
    const at: BleedSituation = {
      opened: true,
      preFilled: false,
      slave: 'outside',
      bleeder: 'low',
      helper: false,
      tools: ['jar'],
      minutesLeft: 240,
      sharedReservoir: false,
    }
    expect(adviseBleed(at, [own]).map(entry => [entry.method, entry.possible])).toEqual([
      ['own', true],
      ['unopened', false],
    ])
    expect(adviseBleed({ ...at, tools: [] }, [own]).find(entry => entry.method === 'own')!.because).toEqual([
      'It takes a jar.',
    ])
  })
})

describe('advice how to bleed', () => {
  const at: BleedSituation = {
    opened: true,
    preFilled: false,
    slave: 'outside',
    bleeder: 'at-top',
    helper: false,
    tools: [],
    minutesLeft: 240,
    sharedReservoir: true,
  }
  const best = (change: Partial<BleedSituation>) => adviseBleed({ ...at, ...change })[0]!.method
  it('takes what is there: nothing opened, a full set, a helper, a bottle, a syringe, or nothing at all', () => {
    expect(best({ opened: false })).toBe('unopened')
    expect(best({ preFilled: true })).toBe('pre-filled')
    expect(best({ helper: true })).toBe('two-person')
    expect(best({ tools: ['pressure-bottle'], sharedReservoir: false })).toBe('pressure')
    expect(best({ tools: ['syringe'], bleeder: 'low', sharedReservoir: false })).toBe('reverse')
    expect(best({})).toBe('pump-rest')
    expect(best({ bleeder: 'none', tools: ['vacuum-pump'], helper: true })).toBe('pump-rest')
  })
  it('weighs the time that is left, and says what closes a way', () => {
    expect(best({ minutesLeft: 80 })).toBe('gravity')
    const closed = adviseBleed(at).find(entry => entry.method === 'vacuum')!
    expect(closed).toMatchObject({ possible: false, because: ['It takes a vacuum pump.'] })
    expect(adviseBleed({ ...at, minutesLeft: 30 })[0]!.because.join(' ')).toContain('are left')
  })
})
