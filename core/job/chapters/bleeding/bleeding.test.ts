import { describe, expect, it } from 'vitest'
import { TestLog } from '../../../../tests/support/job-log'
import { operation, smallPack } from '../../../../tests/support/small-pack'
import type { BleedWay, Sheet } from '../../../packs'
import { bleedAir } from '../../views/bleed-air'
import { bleedNext } from '../../views/bleed-next'
import { bleedStage } from '../../views/bleed-stage'
import { countsToMark, reservoirStand } from '../../views/reservoir'
import { wayNow } from './ways'

import fc from 'fast-check'

const way = (id: string, change: Partial<BleedWay>): BleedWay => ({
  id,
  title: id,
  counts: 'strokes',
  one: 'one',
  many: 'many',
  perRound: 10,
  restMinutes: 5,
  strokeShare: 0,
  portionMl: 0,
  bleeder: true,
  advice: [],
  calls: [],
  ready: ['ready'],
  round: ['round'],
  over: 'over',
  wrong: 'wrong',
  ...change,
})
const ways = [
  way('rest', { perRound: 25, restMinutes: 60 }),
  way('two', { strokeShare: 1, calls: [{ say: 'Press', by: 'pedal', seconds: 2, about: 'down' }] }),
  way('cup', { counts: 'portions', portionMl: 20 }),
  way('up', { counts: 'portions', portionMl: -20 }),
  way('drip', { counts: 'minutes', restMinutes: 10 }),
]
const air: Sheet = {
  id: 'air',
  title: 'Air',
  row: 'pedal',
  drawing: 'line',
  steps: ['bleed'],
  when: [],
  look: [],
  schools: [],
  fields: (
    [
      ['ratio', 6],
      ['master', 19.05],
      ['pressure', 20],
      ['swelling', 0],
      ['allowed', 10],
    ] as const
  ).map(([id, guide]) => ({ id, name: id, kind: 'number', unit: 'mm', low: 0, high: 100, guide, when: [] })),
  judges: [
    {
      kind: 'trapped-air',
      inputs: {
        lost: 'lost',
        ratio: 'ratio',
        master: 'master',
        pressure: 'pressure',
        swelling: 'swelling',
        allowed: 'allowed',
      },
      when: [],
    },
  ],
}
const pack = smallPack(
  {
    operations: [
      operation('bleed', { phase: 'fill', activity: { kind: 'bleed', way: 'rest' } }),
      operation('bleed-cup', { phase: 'fill', activity: { kind: 'bleed', way: 'cup' } }),
    ],
  },
  { bleeding: ways, bench: { sheets: [air], orientations: [], oldParts: [], reachable: [] } },
)
const stepId = 'bleed'
const open = (name?: string) =>
  TestLog.open(pack).add('bleed-opened', {
    stepId,
    strokesPerRound: 10,
    restMinutes: 60,
    ...(name ? { way: name } : {}),
  })
const reservoir = {
  stepId,
  reservoirMl: 200,
  lowMl: 100,
  fullMl: 250,
  masterBoreMm: 19,
  strokeMm: 20,
  lineMl: 22,
  deliveredShare: 0,
}
const each = ((Math.PI / 4) * 19 ** 2 * 20) / 1000

describe('a way of bleeding', () => {
  it('is the one of the plan, or the one that was chosen when it was opened', () => {
    expect(wayNow(open().state, stepId)).toMatchObject({ id: 'rest', perRound: 10 })
    expect(wayNow(open('cup').state, stepId)).toMatchObject({ id: 'cup', counts: 'portions' })
    expect(
      TestLog.open(pack).refusal('bleed-opened', { stepId, strokesPerRound: 5, restMinutes: 5, way: 'magic' }),
    ).toContain('no way of bleeding called "magic"')
  })
  it('counts only what it counts', () => {
    expect(open('cup').refusal('stroke-counted', { stepId })).toContain('counts no strokes')
    expect(open('two').refusal('portion-moved', { stepId, ml: 20 })).toContain('counts strokes')
    expect(open('cup').refusal('portion-moved', { stepId, ml: -20 })).toContain('out at the bleeder')
    expect(open('up').refusal('portion-moved', { stepId, ml: 20 })).toContain('up into the reservoir')
    expect(open('cup').refusal('portion-moved', { stepId, ml: 15 })).toBeNull()
    expect(open('drip').refusal('portion-moved', { stepId, ml: 7 })).toBeNull()
  })
  it('keeps the counts when it is switched in the middle', () => {
    const log = open('two')
      .add('reservoir-set', reservoir)
      .add('stroke-counted', { stepId })
      .add('stroke-counted', { stepId })
    expect(log.refusal('bleed-switched', { stepId, way: 'two', strokesPerRound: 10, restMinutes: 5 })).toContain(
      'this way already',
    )
    log
      .add('bleed-switched', { stepId, way: 'cup', strokesPerRound: 3, restMinutes: 5 })
      .add('portion-moved', { stepId, ml: 20 })
    const { bleeding, reservoirs } = log.state
    expect(bleeding.bleed!.rounds).toMatchObject([
      { way: 'two', strokes: 2, feel: null },
      { way: 'cup', portions: 1, movedMl: 20 },
    ])
    expect(reservoirStand(reservoirs.bleed)!.sentMl).toBeCloseTo(2 * each + 20, 9)
    // A way that was only looked at leaves no round behind.
    log
      .add('bleed-switched', { stepId, way: 'up', strokesPerRound: 3, restMinutes: 5 })
      .add('bleed-switched', { stepId, way: 'rest', strokesPerRound: 25, restMinutes: 60 })
    expect(log.state.bleeding.bleed!.rounds.map(round => round.way)).toEqual(['two', 'cup', 'rest'])
  })
  it('keeps the counts when the plan goes over to another step for it', () => {
    const log = open()
      .add('stroke-counted', { stepId })
      .add('fluid-bought', { stepId, bottles: 2, bottleMl: 500 })
      .add('reservoir-set', reservoir)
    log.add('bleed-opened', { stepId: 'bleed-cup', strokesPerRound: 3, restMinutes: 5 })
    expect(log.state.bleeding.bleed).toBeUndefined()
    expect(log.state.bleeding['bleed-cup']).toMatchObject({
      boughtMl: 1000,
      rounds: [
        { way: 'rest', strokes: 1 },
        { way: 'cup', strokes: 0 },
      ],
    })
    expect(log.state.reservoirs['bleed-cup']).toMatchObject({ reservoirMl: 200, strokes: 0 })
  })
  it('keeps bubbles, colour and lost travel with their round', () => {
    const log = open('two')
      .add('stroke-counted', { stepId })
      .add('pedal-judged', { stepId, feel: 'better', bubbles: 'few', colour: 'cloudy', lostMm: 40 })
    expect(log.state.bleeding.bleed!.rounds[0]).toMatchObject({
      feel: 'better',
      bubbles: 'few',
      colour: 'cloudy',
      lostMm: 40,
    })
    expect(open('drip').refusal('pedal-judged', { stepId, feel: 'firm' })).toContain('Count something')
    expect(open('drip').add('rest-started', { stepId }).refusal('pedal-judged', { stepId, feel: 'firm' })).toBeNull()
  })
  it('counts portions as such', () => {
    const log = open('cup').add('portion-moved', { stepId, ml: 20 }).add('portion-moved', { stepId, ml: 20 })
    expect(bleedStage(log.state.bleeding.bleed!, '2026-03-02T09:00:00Z', wayNow(log.state, stepId)!)).toMatchObject({
      stage: 'strokes',
      counted: 2,
    })
  })
})

describe('a spoken count', () => {
  it('runs where there are words, from the moment given, and ends with the round', () => {
    expect(open().refusal('pace-started', { stepId, at: '2026-03-02T08:00:00Z' })).toContain('no words to call')
    const log = open('two')
      .add('stroke-counted', { stepId })
      .add('pace-started', { stepId, at: '2026-03-02T08:10:00Z' })
    expect(log.state.bleeding.bleed!.pace).toEqual({ since: '2026-03-02T08:10:00Z', deviceId: 'd', strokesBefore: 1 })
    expect(log.add('pedal-judged', { stepId, feel: 'soft' }).state.bleeding.bleed!.pace).toBeNull()
    expect(log.refusal('pace-stopped', { stepId })).toContain('No count is running')
  })
})

describe('the reservoir', () => {
  it('is pushed full from below, and stops there until some is drawn off', () => {
    const log = open('up')
      .add('reservoir-set', reservoir)
      .add('portion-moved', { stepId, ml: -20 })
      .add('portion-moved', { stepId, ml: -20 })
    expect(reservoirStand(log.state.reservoirs.bleed)).toMatchObject({ leftMl: 240, pushedMl: 40, roomMl: 10 })
    expect(countsToMark(log.state.reservoirs.bleed!, ways[3]!)).toBe(0)
    expect(log.refusal('portion-moved', { stepId, ml: -20 })).toContain('full mark')
    expect(log.refusal('reservoir-drawn', { stepId, ml: 900 })).toContain('More than stands in it')
    expect(log.add('reservoir-drawn', { stepId, ml: 100 }).refusal('portion-moved', { stepId, ml: -20 })).toBeNull()
    expect(log.refusal('reservoir-set', { ...reservoir, fullMl: 150 })).toContain('full mark')
  })
  it('says when it ran dry: the log does not hide what the bottle caught', () => {
    const log = open('drip')
      .add('reservoir-set', reservoir)
      .add('rest-started', { stepId })
      .add('portion-moved', { stepId, ml: 230 })
    expect(reservoirStand(log.state.reservoirs.bleed)).toMatchObject({ leftMl: 0 })
    expect(reservoirStand(log.state.reservoirs.bleed)!.ranDry).toBe(log.events.at(-1)!.deviceTime)
  })
  it('keeps fluid: what stood, was poured, pushed, sent and drawn comes out even after any acts', () => {
    const act = fc.oneof(
      fc.constant('stroke'),
      fc.constant('cup'),
      fc.constant('up'),
      fc.constant('pour'),
      fc.constant('draw'),
    )
    fc.assert(
      fc.property(fc.array(act, { maxLength: 25 }), acts => {
        const log = open('two').add('reservoir-set', reservoir)
        let left = 200
        for (const what of acts) {
          const name = what === 'stroke' ? 'two' : what === 'cup' ? 'cup' : what === 'up' ? 'up' : null
          if (name && wayNow(log.state, stepId)!.id !== name)
            log.add('bleed-switched', { stepId, way: name, strokesPerRound: 10, restMinutes: 5 })
          if (what === 'stroke' && log.refusal('stroke-counted', { stepId }) === null)
            [left] = [left - each, log.add('stroke-counted', { stepId })]
          else if (what === 'cup' && log.refusal('portion-moved', { stepId, ml: 20 }) === null)
            [left] = [left - 20, log.add('portion-moved', { stepId, ml: 20 })]
          else if (what === 'up' && log.refusal('portion-moved', { stepId, ml: -20 }) === null)
            [left] = [left + 20, log.add('portion-moved', { stepId, ml: -20 })]
          else if (what === 'pour') [left] = [left + 30, log.add('reservoir-topped', { stepId, ml: 30 })]
          else if (what === 'draw' && log.refusal('reservoir-drawn', { stepId, ml: 30 }) === null)
            [left] = [left - 30, log.add('reservoir-drawn', { stepId, ml: 30 })]
          expect(reservoirStand(log.state.reservoirs.bleed)!.leftMl).toBeCloseTo(left, 6)
          if (what === 'stroke' || what === 'cup') expect(left > 0).toBe(true)
        }
      }),
      { numRuns: 40 },
    )
  })
})

describe('bleedAir', () => {
  it('takes what was entered on the sheet before what is usual', () => {
    const log = open().add('stroke-counted', { stepId }).add('pedal-judged', { stepId, feel: 'soft', lostMm: 60 })
    const usual = bleedAir(log.state, stepId)!.rounds[0]!.leastMl
    log.add('sheet-read', {
      sheetId: 'air',
      values: { ratio: { kind: 'number', entry: { entered: '3', value: 3 } } },
      cleared: [],
    })
    expect(bleedAir(log.state, stepId)!.rounds[0]!.leastMl).toBeCloseTo(usual * 2, 9)
  })
  it('follows Boyle round by round, and says how many more at that pace', () => {
    const log = open()
    expect(bleedAir(log.state, stepId)).toBeNull()
    for (const lostMm of [80, 40])
      log.add('stroke-counted', { stepId }).add('pedal-judged', { stepId, feel: 'soft', lostMm })
    const found = bleedAir(log.state, stepId)!
    // 80 mm / 6 × 2.850 cm² = 3.80 ml given way; V = 3.80 / (1 − 1.01325 / 21.01325).
    const gave = ((((80 / 6) * Math.PI) / 4) * 19.05 ** 2) / 1000
    expect(found.rounds[0]!.leastMl).toBeCloseTo(gave / (1 - 1.01325 / 21.01325), 6)
    expect(found.rounds[0]!.mostMl).toBeGreaterThan(found.rounds[0]!.leastMl)
    expect(found).toMatchObject({ sheetId: 'air', good: false, forecast: { rounds: 2 } })
    expect(
      bleedAir(
        log.add('stroke-counted', { stepId }).add('pedal-judged', { stepId, feel: 'better', lostMm: 8 }).state,
        stepId,
      )!.good,
    ).toBe(true)
  })
})

describe('bleedNext', () => {
  const rounds = (
    name: string,
    ...seen: { feel: 'soft' | 'better' | 'firm'; bubbles?: 'none' | 'many'; lostMm?: number; rest?: boolean }[]
  ) => {
    const log = open(name)
    for (const { rest, ...judged } of seen) {
      log.add('stroke-counted', { stepId })
      if (rest) log.add('rest-started', { stepId })
      log.add('pedal-judged', { stepId, ...judged })
    }
    return bleedNext(log.state, stepId)
  }
  it('says nothing after one round, nor when it is firm', () => {
    expect(rounds('rest', { feel: 'soft' })).toBeNull()
    expect(rounds('rest', { feel: 'soft' }, { feel: 'firm' })).toBeNull()
  })
  it('sends to a rest after two rounds without one', () => {
    expect(rounds('rest', { feel: 'soft' }, { feel: 'soft' })).toMatchObject({ act: 'rest' })
    expect(rounds('rest', { feel: 'soft', rest: true }, { feel: 'better' })).toBeNull()
  })
  it('looks for something else where no bubble comes, and for another way where nothing shrinks', () => {
    expect(rounds('two', { feel: 'soft', bubbles: 'none' }, { feel: 'soft', bubbles: 'none' })).toMatchObject({
      act: 'test',
    })
    expect(
      rounds('two', { feel: 'soft', bubbles: 'many', lostMm: 60 }, { feel: 'soft', bubbles: 'many', lostMm: 61 }),
    ).toMatchObject({ act: 'switch' })
    expect(rounds('rest', { feel: 'soft', rest: true }, { feel: 'soft', rest: true })).toMatchObject({ act: 'switch' })
  })
})
