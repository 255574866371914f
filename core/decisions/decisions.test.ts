import { describe, expect, it } from 'vitest'
import { link, operation, smallPack } from '../../tests/support/small-pack'
import type { BoardBolt } from '../fasteners'
import { expandPack } from '../packs'
import { boltReuse, compareWays, minutesLater, renewNow, renewPackages } from '.'
import type { Way } from '.'

describe('renewNow', () => {
  const question = { partCost: 20, minutesNow: 30, minutesLater: 600, labourPerHour: 60, chance: 0.1 }
  it('weighs the sure cost of now against the chance of all of it later', () => {
    expect(renewNow(question)).toEqual({
      breakEvenChance: 50 / 620,
      expectedNow: 50,
      expectedLater: 62,
      advice: 'renew',
    })
    expect(renewNow({ ...question, chance: 0.05 }).advice).toBe('leave')
  })
  it('counts what a comeback costs beside the work', () => {
    expect(renewNow({ ...question, chance: 0.05, comebackCost: 500 })).toMatchObject({
      advice: 'renew',
      expectedLater: 56,
    })
  })
  it('turns exactly at the break-even chance', () => {
    const { breakEvenChance } = renewNow(question)
    expect(renewNow({ ...question, chance: breakEvenChance + 1e-9 }).advice).toBe('renew')
    expect(renewNow({ ...question, chance: breakEvenChance - 1e-9 }).advice).toBe('leave')
  })
  it('never breaks even where coming back is free, and refuses a chance beyond 1', () => {
    expect(renewNow({ ...question, partCost: 0, minutesLater: 0 }).breakEvenChance).toBe(Infinity)
    expect(() => renewNow({ ...question, chance: 1.2 })).toThrow('chance')
  })
})

describe('minutesLater', () => {
  const pack = smallPack({
    items: [
      { id: 'cover', name: 'Cover', state: 'off' },
      { id: 'part', name: 'Part', state: 'off' },
      { id: 'tray', name: 'Tray', state: 'off' },
      { id: 'lid', name: 'Lid', state: 'off' },
    ],
    operations: [
      operation('tray-off', {
        takesOff: { tray: 1 },
        minutes: [10, 10, 10],
        refit: { kind: 'mirror', override: { title: 'Tray on' } },
      }),
      operation('cover-off', {
        takesOff: { cover: 1 },
        minutes: [20, 20, 20],
        refit: { kind: 'mirror', override: { title: 'Cover on' } },
      }),
      operation('lid-off', {
        takesOff: { lid: 1 },
        minutes: [40, 40, 40],
        refit: { kind: 'mirror', override: { title: 'Lid on' } },
      }),
      operation('part-off', {
        takesOff: { part: 1 },
        minutes: [5, 5, 5],
        refit: { kind: 'mirror', override: { title: 'Part on' } },
      }),
      operation('look', { phase: 'bench' }),
      operation('drive', { phase: 'prove', minutes: [15, 15, 15] }),
    ],
    links: [
      link('tray-off', 'cover-off'),
      link('cover-off', 'part-off'),
      link('lid-off', 'part-off', { kind: 'habit', mirror: false }),
      link('look', 'part-off', { kind: 'clean', mirror: false }),
      link('part-off.refit', 'drive', { mirror: false }),
      link('tray-off.refit', 'drive', { mirror: false }),
      link('cover-off.refit', 'drive', { mirror: false }),
      link('lid-off.refit', 'drive', { mirror: false }),
    ],
  })
  const procedure = expandPack(pack)
  it('counts there, back and proving, and passes over what only habit or cleanliness puts before', () => {
    const found = minutesLater(procedure, ['part-off'])!
    expect(found.operations.map(each => each.id).sort()).toEqual([
      'cover-off',
      'cover-off.refit',
      'drive',
      'part-off',
      'part-off.refit',
      'tray-off',
      'tray-off.refit',
    ])
    expect(found.minutes).toBeGreaterThanOrEqual(85)
  })
  it('is less for what lies nearer, and nothing for what the job does not reach', () => {
    expect(minutesLater(procedure, ['cover-off'])!.minutes).toBeLessThan(minutesLater(procedure, ['part-off'])!.minutes)
    expect(minutesLater(procedure, ['nowhere'])).toBeNull()
  })
})

describe('renewPackages', () => {
  it('holds in each offer everything of the one before', () => {
    const line = (id: string, must: boolean, advice: 'renew' | 'leave') => ({
      id,
      partCost: 10,
      minutesNow: 60,
      must,
      advice,
    })
    const [must, sensible, everything] = renewPackages(
      [line('a', true, 'leave'), line('b', false, 'renew'), line('c', false, 'leave')],
      50,
    )
    expect(must).toMatchObject({ parts: ['a'], total: 60 })
    expect(sensible).toMatchObject({ parts: ['a', 'b'], minutes: 120, total: 120 })
    expect(everything!.parts).toEqual(['a', 'b', 'c'])
  })
})

describe('compareWays', () => {
  const way = (id: string, change: Partial<Way> = {}): Way => ({
    id,
    money: 100,
    finishMinutes: 0,
    chance: 0,
    comebackCost: 0,
    closed: null,
    ...change,
  })
  it('takes the cheapest, risk counted, that keeps the promise', () => {
    const ways = [
      way('keep', { money: 0, chance: 0.5, comebackCost: 1000 }),
      way('machine', { money: 120, finishMinutes: 900 }),
      way('buy', { money: 300, finishMinutes: 60 }),
    ]
    expect(compareWays(ways, null).advised).toBe('machine')
    expect(compareWays(ways, 20)).toMatchObject({
      advised: 'machine',
      because: expect.stringContaining('Tell the customer'),
    })
    expect(compareWays(ways, 100)).toMatchObject({
      advised: 'buy',
      because: 'A cheaper way would break the promised time.',
    })
    expect(compareWays(ways, 100).ways.map(each => each.lateMinutes)).toEqual([0, 800, 0])
  })
  it('says when no way keeps it, and when none is open', () => {
    expect(compareWays([way('machine', { finishMinutes: 900 })], 100).because).toContain('Tell the customer')
    expect(compareWays([way('machine', { closed: 'Dual-mass.' })], 100)).toMatchObject({ advised: null })
  })
})

describe('boltReuse', () => {
  const bolt = (change: Partial<BoardBolt> = {}): BoardBolt => ({
    id: 'a',
    xMm: 0,
    yMm: 0,
    offWith: null,
    stand: 'out',
    entry: null,
    condition: 'good',
    suspect: false,
    ...change,
  })
  const figure = { group: 'g', torqueNm: 40, sourceKind: 'kit-sheet' as const, reference: 'Sheet' }
  it('renews bolts of aluminium whatever they look like', () => {
    const facts = { thread: 'M10', propertyClass: 'AL6' }
    expect(boltReuse({ figure, facts, bolts: [bolt()] })).toMatchObject({
      verdict: 'renew',
      because: expect.stringContaining('never a steel one among them'),
    })
    expect(boltReuse({ figure, facts: { ...facts, propertyClass: '8.8' }, bolts: [bolt()] }).verdict).toBe('reuse')
  })
  it('follows the sheet, then the angle, then how they came out', () => {
    expect(boltReuse({ figure: { ...figure, renew: 'always' }, facts: null, bolts: [bolt()] }).verdict).toBe('renew')
    expect(
      boltReuse({
        figure: {
          ...figure,
          stages: [
            { kind: 'torque', torqueNm: 40 },
            { kind: 'angle', angleDeg: 90 },
          ],
        },
        facts: null,
        bolts: [bolt()],
      }).verdict,
    ).toBe('renew')
    expect(boltReuse({ figure, facts: null, bolts: [bolt(), bolt({ condition: 'stretched' })] })).toMatchObject({
      verdict: 'renew',
      count: 1,
    })
    expect(boltReuse({ figure, facts: null, bolts: [bolt(), bolt({ condition: 'corroded' })] }).verdict).toBe('measure')
    expect(boltReuse({ figure, facts: null, bolts: [bolt(), bolt()] }).verdict).toBe('reuse')
    expect(boltReuse({ figure: null, facts: null, bolts: [bolt()] }).verdict).toBe('unknown')
  })
})
