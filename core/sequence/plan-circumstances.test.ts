import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { link, operation, smallPack } from '../../tests/support/small-pack'
import { expandPack } from '../packs'
import { planJob, stepMinutes, withoutPin, withPin } from '.'
import type { PlanSetting } from '.'

const bench = (id: string, change: Parameters<typeof operation>[1] = {}) =>
  operation(id, { phase: 'bench', place: 'top', minutes: [10, 20, 40], ...change })
const plan = (
  operations: ReturnType<typeof operation>[],
  links: ReturnType<typeof link>[],
  setting: Partial<PlanSetting> = {},
  parts: { id: string; name: string }[] = [],
) =>
  planJob(expandPack(smallPack({ operations, links, parts })), {
    walkMinutes: 0,
    toolMinutes: 0,
    washMinutes: 0,
    ...setting,
  })
const startOf = (result: ReturnType<typeof plan>, id: string) => result.steps.find(step => step.id === id)!.startMinutes

describe('a second pair of hands', () => {
  const heavy = bench('heavy', { hands: 2, aloneWay: 'Use a strap.' })
  it('halves heavy work while it is there, and flags it while it is not', () => {
    const alone = plan([heavy], [])
    expect(alone.totals.minutes).toBe(40)
    expect(alone.steps[0]!.shortHanded).toBe(true)
    const helped = plan([heavy], [], { helper: true })
    expect(helped.totals.minutes).toBe(20)
    expect(helped.steps[0]!.shortHanded).toBe(false)
  })
  it('has heavy work moved into the time it is there', () => {
    const result = plan([heavy, bench('light'), bench('other')], [], {
      helperWindow: { fromMinutes: 35, toMinutes: 70 },
    })
    expect(startOf(result, 'heavy')).toBe(40)
    expect(result.totals.minutes).toBe(60)
    expect(result.steps.some(step => step.shortHanded)).toBe(false)
  })
})

it('bounds the work by what the helper can save at the best', () => {
  const heavy = ['one', 'two', 'three'].map(id => bench(id, { hands: 2, aloneWay: 'Use a strap.' }))
  const result = plan(heavy, [], { helperWindow: { fromMinutes: 0, toMinutes: 30 } })
  // Alone 40 each; half an hour saves one and a half times 20 at the most, and one step in truth.
  expect(result.lowerBoundMinutes).toBe(120 - 30)
  expect(result.totals.minutes).toBe(100)
})

describe('working hours', () => {
  const hours = { fromMinute: 480, toMinute: 540, weekdays: [0, 1, 2, 3, 4, 5, 6] }
  it('keep a step whole that does not fit before closing', () => {
    const result = plan(
      [bench('a', { minutes: [1, 40, 50] }), bench('b', { minutes: [1, 40, 50] })],
      [link('a', 'b', { mirror: false })],
      { hours, startMinuteOfDay: 480 },
    )
    expect(startOf(result, 'b')).toBe(1440)
    // The twenty minutes before closing that it does not fit into are closed, not worked and not waited for.
    expect(result.totals).toMatchObject({ minutes: 40 + 40, waitMinutes: 0, closedMinutes: 1380 + 20 })
    expect(result.steps[1]!.waitBecause).toBeUndefined()
  })
  it('let a wait run through the night', () => {
    const result = plan(
      [bench('seal'), bench('torque')],
      [link('seal', 'torque', { mirror: false, waitMinutes: 300 })],
      { hours, startMinuteOfDay: 480 },
    )
    expect(startOf(result, 'torque')).toBe(1440)
    expect(result.totals.waitMinutes).toBeLessThanOrEqual(40)
  })
})

/** Plans made at any hour of any day, with work across closing time, nights and Sundays. */
describe('minutes that are told', () => {
  const links = [
    link('b', 'c', { mirror: false, waitMinutes: 90, because: 'It cures.' }),
    link('a', 'b', { mirror: false }),
  ]
  const work = ['a', 'b', 'c', 'd', 'e', 'f'].map((id, index) =>
    bench(id, { minutes: [5, 20 + 23 * index, 200] as [number, number, number] }),
  )
  it('are never below zero, leave nights and weekends out, and add up the same for steps, trips and plan', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 1439 }),
        fc.integer({ min: 0, max: 6 }),
        fc.integer({ min: 30, max: 600 }),
        fc.integer({ min: 0, max: 600 }),
        fc.subarray([0, 1, 2, 3, 4, 5, 6], { minLength: 1 }),
        (startMinuteOfDay, startWeekday, length, fromMinute, weekdays) => {
          const result = plan(work, links, {
            hours: { fromMinute, toMinute: fromMinute + length, weekdays },
            startMinuteOfDay,
            startWeekday,
            walkMinutes: 1,
            toolMinutes: 0.5,
          })
          const likely = new Map(work.map(each => [each.id, each.minutes[1]]))
          for (const step of result.steps) {
            expect(stepMinutes(step)).toBeCloseTo(likely.get(step.id)!, 6)
            expect(step.waitMinutes).toBeGreaterThanOrEqual(0)
            expect(step.waitMinutes).toBeLessThanOrEqual(90 + 1e-6)
            expect(step.waitBecause ?? 'It cures.').toBe('It cures.')
          }
          const told = result.steps.reduce(
            (sum, step) => sum + stepMinutes(step) + step.setupMinutes + step.waitMinutes,
            0,
          )
          expect(result.trips.reduce((sum, trip) => sum + trip.minutes, 0)).toBeCloseTo(told, 6)
          expect(result.totals.minutes).toBeCloseTo(told, 6)
          expect(result.totals.workMinutes + result.totals.setupMinutes + result.totals.waitMinutes).toBeCloseTo(
            told,
            6,
          )
        },
      ),
      { numRuns: 60 },
    )
  })
})

describe('parts and hands', () => {
  it('let work wait for a part on its way, and do other work meanwhile', () => {
    const result = plan(
      [bench('fit', { parts: { kit: 1 } }), bench('other')],
      [],
      { arrivals: [{ partId: 'kit', atMinutes: 50 }] },
      [{ id: 'kit', name: 'Kit' }],
    )
    expect(result.order).toEqual(['other', 'fit'])
    expect(startOf(result, 'fit')).toBe(50)
    expect(result.steps[1]).toMatchObject({ waitMinutes: 30, waitBecause: 'Waits for a part: Kit.' })
  })
  it('put dirty work before clean, so that hands are washed once', () => {
    const steps = [
      bench('d1', { dirt: 'dirty' }),
      bench('c1', { dirt: 'clean' }),
      bench('d2', { dirt: 'dirty' }),
      bench('c2', { dirt: 'clean' }),
    ]
    const links = [link('d1', 'c1', { mirror: false }), link('d2', 'c2', { mirror: false })]
    const result = plan(steps, links, { washMinutes: 3 })
    expect(new Set(result.order.slice(0, 2))).toEqual(new Set(['d1', 'd2']))
    expect(result.totals.minutes).toBe(4 * 20 + 3)
    expect(result.authored.minutes).toBe(4 * 20 + 2 * 3)
  })
})

describe('pins', () => {
  const steps = [bench('a'), bench('b', { place: 'under' }), bench('c'), bench('d', { place: 'under' })]
  it('hold a step directly behind another, whatever it costs', () => {
    const free = plan(steps, [], { walkMinutes: 5 })
    const held = plan(steps, [], {
      walkMinutes: 5,
      pins: [
        { stepId: 'b', after: 'a' },
        { stepId: 'c', after: 'b' },
      ],
    })
    expect(held.order.filter(id => id.length === 1).join('')).toContain('abc')
    expect(held.totals.minutes).toBeGreaterThan(free.totals.minutes)
  })
  it('can put a step first', () => {
    expect(plan(steps, [], { pins: [{ stepId: 'd', after: null }] }).order.filter(id => id.length === 1)[0]).toBe('d')
  })
  it('are dropped with the sentence when a link forbids them', () => {
    const result = plan(steps, [link('c', 'a', { mirror: false, because: 'c holds a.' })], {
      pins: [{ stepId: 'c', after: 'a' }],
    })
    expect(result.droppedPins).toEqual([{ stepId: 'c', because: 'c holds a.' }])
  })
  it('do not come between steps that follow at once', () => {
    const result = plan(steps, [link('a', 'b', { mirror: false, atOnce: true, because: 'Cover it at once.' })], {
      pins: [{ stepId: 'c', after: 'a' }],
    })
    expect(result.order.filter(id => id.length === 1).join('')).toContain('ab')
    expect(result.droppedPins).toEqual([{ stepId: 'c', because: 'Cover it at once.' }])
  })
  it('close up when one is moved or taken away', () => {
    const pins = withPin(withPin([], { stepId: 'b', after: 'a' }), { stepId: 'c', after: 'a' })
    expect(pins).toEqual([
      { stepId: 'b', after: 'c' },
      { stepId: 'c', after: 'a' },
    ])
    expect(withPin(pins, { stepId: 'c', after: 'd' })).toEqual([
      { stepId: 'b', after: 'a' },
      { stepId: 'c', after: 'd' },
    ])
    expect(withoutPin(pins, 'c')).toEqual([{ stepId: 'b', after: 'c' }])
  })
})

describe('going on from the steps done', () => {
  it('plans only what is left, and counts waits that began before', () => {
    const operations = [bench('seal'), bench('torque'), bench('other')]
    const links = [link('seal', 'torque', { mirror: false, waitMinutes: 60 })]
    const first = plan(operations, links)
    const past = {
      steps: first.steps.filter(step => step.id === 'seal'),
      place: 'top' as const,
      car: 'ground' as const,
    }
    const rest = planJob(expandPack(smallPack({ operations, links })), { walkMinutes: 0, toolMinutes: 0 }, { past })
    expect(rest.order).toEqual(['seal', 'other', 'torque'])
    expect(rest.steps[2]!.startMinutes).toBe(80)
  })
})

it('refuses an order that leaves a step out, holds one twice or parts a pair', () => {
  const procedure = expandPack(
    smallPack({
      operations: [bench('a'), bench('b'), bench('c')],
      links: [link('a', 'b', { mirror: false, atOnce: true, because: 'Cover it at once.' })],
    }),
  )
  expect(() => planJob(procedure, {}, { order: ['a', 'b'] })).toThrow('leaves this step out')
  expect(() => planJob(procedure, {}, { order: ['a', 'b', 'c', 'c'] })).toThrow('twice')
  expect(() => planJob(procedure, {}, { order: ['b', 'a', 'c'] })).toThrow('Cover it at once.')
  expect(() => planJob(procedure, {}, { order: ['a', 'c', 'b'] })).toThrow('Cover it at once.')
  expect(planJob(procedure, {}, { order: ['c', 'a', 'b'] }).order).toEqual(['c', 'a', 'b'])
})
