import { describe, expect, it } from 'vitest'
import { link, operation, smallPack } from '../../tests/support/small-pack'
import { expandPack } from '../../core/packs'
import { planJob } from '../../core/sequence'
import type { PlanSetting } from '../../core/sequence'
import { afterWork } from '../../core/job'
import { utcOffsetMinutes } from '../words/utc-offset'
import { oddsText } from '../words/odds'
import { hourMarks, milestoneMarks, waitBars } from './plan-marks'
import { drawnMinutes, planScale } from './plan-scale'

const bench = (id: string, change: Parameters<typeof operation>[1] = {}) =>
  operation(id, { phase: 'bench', minutes: [30, 60, 90], ...change })
const hours = { fromMinute: 480, toMinute: 600, weekdays: [0, 1, 2, 3, 4, 5, 6] }
const planOf = (
  operations: ReturnType<typeof operation>[],
  links: ReturnType<typeof link>[] = [],
  setting: Partial<PlanSetting> = {},
) => {
  const procedure = expandPack(smallPack({ operations, links }))
  return { procedure, plan: planJob(procedure, { walkMinutes: 0, toolMinutes: 0, ...setting }) }
}
const three = [bench('a'), bench('b'), bench('c')]

describe('the time axis', () => {
  it('is even without closing times', () => {
    const { plan } = planOf(three)
    const { x, closed } = planScale(plan, 10, 190, 0)
    expect(closed).toEqual([])
    expect([x(0), x(90), x(180)]).toEqual([10, 100, 190])
  })
  it('draws a night short, and work on both sides to one scale', () => {
    const { plan } = planOf(three, [], { hours, startMinuteOfDay: 480 })
    const { x, closed } = planScale(plan, 0, 198, 0)
    expect(closed).toEqual([[120, 1440]])
    expect(drawnMinutes(plan, 0)).toBe(120 + 18 + 60)
    expect(x(60) - x(0)).toBeCloseTo(x(1500) - x(1440), 6)
    expect(x(1440) - x(120)).toBeCloseTo(18, 6)
    expect(planScale(plan, 0, 198, 1500).closed).toEqual([])
  })
  it('carries whole hours of the wall clock, the first of a day with its name', () => {
    const { plan } = planOf(three)
    const clock = { at: '2026-03-02T08:20:00', minutes: 0, utcOffsetMinutes: 0 }
    const marks = hourMarks(plan, clock, planScale(plan, 0, 600, 0))
    expect(marks.map(mark => [mark.minutes, mark.label])).toEqual([
      [40, 'Mon 09:00'],
      [100, '10:00'],
      [160, '11:00'],
    ])
  })
})

describe('marks', () => {
  it('show waits worth a glance, side by side where they run together', () => {
    const { plan, procedure } = planOf(
      [...three, bench('d')],
      [
        link('a', 'c', { mirror: false, waitMinutes: 240 }),
        link('b', 'd', { mirror: false, waitMinutes: 200 }),
        link('a', 'b', { mirror: false, waitMinutes: 5 }),
      ],
    )
    const bars = waitBars(plan, procedure, planScale(plan, 0, 400, 0).x)
    expect(bars.map(bar => [bar.key, bar.to - bar.from])).toEqual([
      ['a', 240],
      ['b', 200],
    ])
    expect(new Set(bars.map(bar => bar.row)).size).toBe(2)
  })
  it('name milestones where there is room, none over another', () => {
    const steps = ['One thing done', 'Another thing', 'A third', 'A fourth'].map((milestone, index) =>
      bench(`m${index}`, { milestone, minutes: [1, 1, 1] }),
    )
    const { plan, procedure } = planOf(
      [...steps, bench('long', { minutes: [400, 400, 400] })],
      steps.map(step => link(step.id, 'long', { mirror: false })),
    )
    const marks = milestoneMarks(plan, procedure, planScale(plan, 0, 800, 0).x)
    expect(marks.length).toBe(3)
    expect(new Set(marks.map(mark => mark.row)).size).toBe(3)
  })
})

describe('words', () => {
  it('say odds as a person does', () => {
    expect([0, 0.02, 0.31, 0.79, 0.94, 0.99].map(oddsText)).toEqual([
      'no chance',
      'hardly a chance',
      '3 in 10',
      '8 in 10',
      '9 in 10',
      'almost sure',
    ])
  })
  it('lay work into hours', () => {
    const from = new Date('2026-03-02T09:00:00')
    expect(afterWork(90, null, from, utcOffsetMinutes)).toEqual(new Date('2026-03-02T10:30:00'))
    expect(afterWork(90, hours, from, utcOffsetMinutes)).toEqual(new Date('2026-03-03T08:30:00'))
  })
})
