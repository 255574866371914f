import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { alignment, clutch, driveline, handling } from '../../core'
import { expandPack } from '../../core/packs'
import { shelf } from '../support/packs'

const atField = (path: string) => expect.objectContaining({ path }) as Error

describe('turns of an adjuster', () => {
  // ISO 5408, pitch and lead of a single-start thread: one whole turn moves by one pitch. From memory.
  it('are the missing way over the pitch', () => {
    expect(clutch.adjusterTurns({ measuredMm: 1, wantedMm: 1.75, pitchMm: 1.5 })).toEqual({
      turns: 0.5,
      degrees: 180,
      flats: 3,
      direction: 'widen',
    })
    expect(clutch.adjusterTurns({ measuredMm: 1.778, wantedMm: 1.016, pitchMm: 1.27, flats: 6 })).toEqual({
      turns: expect.closeTo(-0.6, 9),
      degrees: expect.closeTo(-216, 9),
      flats: expect.closeTo(-3.6, 9),
      direction: 'narrow',
    })
  })
  it('are none where the gap is right', () => {
    expect(clutch.adjusterTurns({ measuredMm: 1.4, wantedMm: 1.4, pitchMm: 1 }).direction).toBe('none')
  })
  it('bring the gap to what was wanted', () => {
    const mm = fc.double({ min: 0, max: 5, noNaN: true })
    fc.assert(
      fc.property(mm, mm, fc.double({ min: 0.5, max: 2, noNaN: true }), (measuredMm, wantedMm, pitchMm) => {
        const { turns, degrees, flats } = clutch.adjusterTurns({ measuredMm, wantedMm, pitchMm, flats: 4 })
        expect(measuredMm + turns * pitchMm).toBeCloseTo(wantedMm, 9)
        expect(degrees / 360).toBeCloseTo(flats / 4, 9)
      }),
    )
  })
  it.each([
    [{ measuredMm: -1, wantedMm: 1, pitchMm: 1 }, 'measuredMm'],
    [{ measuredMm: 1, wantedMm: Number.NaN, pitchMm: 1 }, 'wantedMm'],
    [{ measuredMm: 1, wantedMm: 1, pitchMm: 0 }, 'pitchMm'],
    [{ measuredMm: 1, wantedMm: 1, pitchMm: 1, flats: 1 }, 'flats'],
  ])('refuse %j at its field', (gap, path) => {
    expect(() => clutch.adjusterTurns(gap)).toThrow(atField(path))
  })
})

describe('wear told by the travel of the slave', () => {
  // Two levers in line: 0.9 mm of plate × 4.5 at the fingers × 1.6 at the fork = 6.48 mm of slave. Worked by hand.
  const taught = { taughtNewMm: 12, fingerRatio: 4.5, forkRatio: 1.6 }
  it('is the way of the slave through both levers, whichever way it counts', () => {
    const grown = clutch.wearFromTravel({
      ...taught,
      travelMm: 18.48,
      grows: true,
      uncertaintyMm: 0.72,
      newDiscMm: 8.2,
    })
    expect(grown.liningLostMm).toBeCloseTo(0.9, 9)
    expect(grown.discMm).toBeCloseTo(7.3, 9)
    expect(grown.spreadMm).toBeCloseTo(0.1, 9)
    const shrunk = clutch.wearFromTravel({ ...taught, travelMm: 5.52, grows: false })
    expect(shrunk.liningLostMm).toBeCloseTo(0.9, 9)
    expect(shrunk).not.toHaveProperty('discMm')
  })
  it('with a slave round the shaft is the way of the fingers alone', () => {
    const { liningLostMm } = clutch.wearFromTravel({
      travelMm: 9,
      taughtNewMm: 5,
      fingerRatio: 4,
      forkRatio: 1,
      grows: true,
    })
    expect(liningLostMm).toBeCloseTo(1, 9)
  })
  it('says so where a disc would have grown thicker', () => {
    const { liningLostMm, because } = clutch.wearFromTravel({ ...taught, travelMm: 8, grows: true })
    expect(liningLostMm).toBeLessThan(0)
    expect(because).toContain('grew thicker')
  })
  it.each([
    [{ travelMm: -1 }, 'travelMm'],
    [{ fingerRatio: 0 }, 'fingerRatio'],
    [{ forkRatio: Number.NaN }, 'forkRatio'],
    [{ newDiscMm: 0 }, 'newDiscMm'],
    [{ uncertaintyMm: -1 }, 'uncertaintyMm'],
  ])('refuses %j at its field', (change, path) => {
    expect(() => clutch.wearFromTravel({ ...taught, travelMm: 12, grows: true, ...change })).toThrow(atField(path))
  })
})

describe('a piston that has turned', () => {
  it.each([
    [350, 10, 20, 'clockwise'],
    [10, 350, -20, 'counter-clockwise'],
    [-170, 170, -20, 'counter-clockwise'],
    [0, 180, 180, 'clockwise'],
    [90, 90, 0, 'none'],
    [-90, 270, 0, 'none'],
  ])('with its magnet at %i° and its sensor at %i° goes %i° %s', (magnetDeg, sensorDeg, turnDeg, direction) => {
    expect(alignment.pistonTurn({ magnetDeg, sensorDeg })).toEqual({ turnDeg, direction })
  })
  it('faces its sensor afterwards, and never went the long way round', () => {
    const deg = fc.double({ min: -360, max: 360, noNaN: true })
    fc.assert(
      fc.property(deg, deg, (magnetDeg, sensorDeg) => {
        const { turnDeg } = alignment.pistonTurn({ magnetDeg, sensorDeg })
        expect(Math.abs(turnDeg)).toBeLessThanOrEqual(180 + 1e-9)
        expect(Math.cos(((magnetDeg + turnDeg - sensorDeg) * Math.PI) / 180)).toBeCloseTo(1, 9)
      }),
    )
  })
  it('refuses an angle that is none at its field', () => {
    expect(() => alignment.pistonTurn({ magnetDeg: Number.NaN, sensorDeg: 0 })).toThrow(atField('magnetDeg'))
    expect(() => alignment.pistonTurn({ magnetDeg: 0, sensorDeg: 361 })).toThrow(atField('sensorDeg'))
  })
})

describe('a sprung ring', () => {
  // ISO 1122-1, angular pitch of a toothing: 360° / z. From memory.
  it.each([
    [24, 24, 4, -4, 'counter-clockwise'],
    [24, 24, 10, 5, 'clockwise'],
    [24, 24, 30, 0, 'none'],
    [36, 36, -3, 3, 'clockwise'],
    // Vernier of 20 and 24 teeth: lcm 120, a step of 3°.
    [20, 24, 4, -1, 'counter-clockwise'],
    [20, 24, 5, 1, 'clockwise'],
  ])('of %i teeth to %i, %i° off, goes %i° %s', (teethA, teethB, offsetDeg, turnDeg, direction) => {
    const found = driveline.ringTurn({ teethA, teethB, offsetDeg })
    expect(found.turnDeg).toBeCloseTo(turnDeg, 9)
    expect(found.direction).toBe(direction)
  })
  it('meets a tooth of each afterwards: looked for tooth by tooth', () => {
    const teeth = fc.integer({ min: 3, max: 60 })
    fc.assert(
      fc.property(teeth, teeth, fc.double({ min: -360, max: 360, noNaN: true }), (teethA, teethB, offsetDeg) => {
        const { turnDeg } = driveline.ringTurn({ teethA, teethB, offsetDeg })
        const near = (from: number) =>
          Math.min(
            ...Array.from({ length: teethA }, (_, tooth) => {
              const at = from + (tooth * 360) / teethA
              const gap = 360 / teethB
              return Math.abs(at - Math.round(at / gap) * gap)
            }),
          )
        expect(near(offsetDeg + turnDeg)).toBeCloseTo(0, 6)
        // No shorter turn does it.
        for (const share of [-0.9, -0.5, 0.5, 0.9])
          if (Math.abs(turnDeg) > 0.1) expect(near(offsetDeg + turnDeg * share)).toBeGreaterThan(1e-3)
      }),
    )
  })
  it('refuses a ring without teeth at its field', () => {
    expect(() => driveline.ringTurn({ teethA: 0, teethB: 20, offsetDeg: 1 })).toThrow(atField('teethA'))
    expect(() => driveline.ringTurn({ teethA: 20, teethB: 20, offsetDeg: Number.NaN })).toThrow(atField('offsetDeg'))
  })
})

describe('the halves of a tractor', () => {
  // Law of the lever, worked by hand: 1 200 kg balance 400 mm behind the front axle, the support stands 1 200 mm behind it:
  // 1 200 × 400 / 1 200 = 400 kg on the support.
  const front = { massKg: 1200, balanceMm: 400, axleMm: 0, supportMm: 1200 }
  // 1 800 kg balance 150 mm before the rear axle at 2 200, the support 900 mm before it: 1 800 × 150 / 900 = 300 kg.
  const rear = { massKg: 1800, balanceMm: 2050, axleMm: 2200, supportMm: 1300 }
  it('hang on axle and support by their moments', () => {
    const loads = handling.splitLoads({ front, rear, wedged: true })
    expect(loads.front).toMatchObject({ axleKg: 800, supportKg: 400, tipsOver: null, rollN: 0 })
    expect(loads.rear.supportKg).toBeCloseTo(300, 9)
    expect(loads.rear.axleKg).toBeCloseTo(1500, 9)
    expect(loads.liesOver).toBe(false)
  })
  it('agree with what the supports of a car would carry of the same mass', () => {
    const { loadsKg } = handling.supportLoads(
      [{ id: 'half', massKg: rear.massKg, xMm: rear.balanceMm, yMm: 0 }],
      [
        { id: 'axle', xMm: rear.axleMm, yMm: 0 },
        { id: 'support', xMm: rear.supportMm, yMm: 0 },
      ],
    )
    const loads = handling.splitLoads({ front, rear })
    expect([loads.rear.axleKg, loads.rear.supportKg]).toEqual(loadsKg.map(kg => expect.closeTo(kg, 6)))
  })
  it('tip over the one they balance beyond', () => {
    const nose = handling.splitLoads({ front: { ...front, balanceMm: -150 }, rear, wedged: true })
    expect(nose.front).toMatchObject({ tipsOver: 'axle', supportKg: 0, axleKg: 1200 })
    expect(nose.because).toContain('front half tips over its axle')
    expect(handling.splitLoads({ front: { ...front, balanceMm: 1300 }, rear }).front.tipsOver).toBe('support')
  })
  it('lie over without wedges, and roll down a floor that falls', () => {
    const loads = handling.splitLoads({ front, rear, slopeDeg: 2 })
    expect(loads.liesOver).toBe(true)
    // m g sin 2° = 1 800 × 9.81 × 0.0348995 = 616.3 N.
    expect(loads.rear.rollN).toBeCloseTo(616.3, 1)
    expect(loads.because).toMatch(/wedges.*chock/)
  })
  it.each([
    [{ front: { ...front, massKg: 0 }, rear }, 'front.massKg'],
    [{ front, rear: { ...rear, supportMm: 2200 } }, 'rear.supportMm'],
    [{ front, rear, slopeDeg: 40 }, 'slopeDeg'],
  ])('are refused at the field at fault', (tractor, path) => {
    expect(() => handling.splitLoads(tractor)).toThrow(atField(path))
  })
})

/** Facts of the trade, common practice, no source. */
describe('a holding pin', () => {
  const pack = shelf.packs.get('dual-clutch-in-car')!
  const byForce = /\b(hammer|tap it|knock|drive it|by force|lever it)\b/i
  const steps = ['pins-in', 'pistons-clipped']
  it('is never forced: no step that sets one has a tool to strike with, and none goes on while one stands out', () => {
    const operations = expandPack(pack).operations.filter(({ id }) => steps.includes(id))
    expect(operations).toHaveLength(steps.length)
    for (const { title, skill, tools, readings } of operations) {
      expect(tools.filter(tool => /hammer|pry|bar|puller/.test(tool))).toEqual([])
      expect(`${title} ${skill ?? ''}`).not.toMatch(byForce)
      expect(readings.some(spec => spec.kind === 'choice' && spec.required && (spec.stops?.length ?? 0) > 0)).toBe(true)
    }
  })
  it('is not forced on any rung of a ladder that stands at them', () => {
    const ladders = pack.ladders.filter(ladder => ladder.steps?.some(step => steps.includes(step)))
    expect(ladders.length).toBeGreaterThan(0)
    for (const { rungs } of ladders)
      for (const { title, text, tools } of rungs) {
        expect(tools.filter(tool => /hammer|pry|bar|puller/.test(tool))).toEqual([])
        expect(`${title} ${text}`).not.toMatch(byForce)
      }
  })
})

describe('where hands go in', () => {
  it.each(['dual-clutch-in-car', 'transaxle-torque-tube', 'automated-single-clutch', 'tractor-two-stage'])(
    'pressure is proved gone before, on %s: a reading that stops, and steps that want it',
    id => {
      const procedure = expandPack(shelf.packs.get(id)!)
      const proved = procedure.operations.filter(
        ({ phase, safety, gives, readings }) =>
          phase === 'make-safe' &&
          safety &&
          gives.length > 0 &&
          readings.some(spec => spec.kind === 'choice' && spec.stops),
      )
      expect(proved.length).toBeGreaterThan(0)
      for (const { gives } of proved)
        for (const fact of gives)
          expect(
            procedure.operations.some(({ phase, needs }) => phase === 'strip' && needs.includes(fact)),
            fact,
          ).toBe(true)
    },
  )
})
