import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { opening, planWeek, weekRange } from './plan-week'
import type { Span, WeekJob, WeekWindows } from './week-types'

// Three days of eight hours; a driveway is dark after six of them.
const bay: Span[] = [
  [0, 480],
  [1440, 1920],
  [2880, 3360],
]
const windows: WeekWindows = { bay, driveway: bay.map(([from]) => [from, from + 360]) }
const job = (id: string, minutes: number[], change: Partial<WeekJob> = {}, waits: number[] = []): WeekJob => ({
  id,
  notBefore: 0,
  dueAt: null,
  site: 'bay',
  travelMinutes: 0,
  segments: minutes.map((each, index) => ({
    minutes: each,
    waitAfter: waits[index] ?? 0,
    readyAt: null,
    because: null,
  })),
  ...change,
})

describe('planWeek', () => {
  it('fills the wait of one car with another', () => {
    const plan = planWeek([job('a', [60, 60], { dueAt: 180 }, [60]), job('b', [55])], windows)
    expect(plan.blocks.map(block => [block.jobId, block.from, block.to])).toEqual([
      ['a', 0, 60],
      ['b', 60, 115],
      ['a', 120, 180],
    ])
    expect(plan.waits).toMatchObject([{ jobId: 'a', from: 60, to: 120, filledBy: ['b'] }])
    expect(plan.proven).toBe(true)
  })
  it('lays work down at closing time and takes it up in the morning', () => {
    expect(planWeek([job('a', [600])], windows).blocks.map(block => [block.from, block.to])).toEqual([
      [0, 480],
      [1440, 1560],
    ])
  })
  it('takes up another car in the morning where a promise wants it', () => {
    const waiting = job('waiting', [470], { dueAt: 1440 + 475 })
    waiting.segments[0] = { ...waiting.segments[0]!, readyAt: 1440, because: 'The flywheel comes.' }
    const plan = planWeek([waiting, job('long', [600])], windows)
    expect(plan.late.waiting).toBe(0)
    expect(plan.blocks.map(block => block.jobId)).toEqual(['long', 'waiting', 'long', 'long'])
  })
  it('keeps a promise before a shorter car', () => {
    const plan = planWeek([job('short', [60]), job('promised', [400], { dueAt: 420 })], windows)
    expect(plan.blocks[0]!.jobId).toBe('promised')
    expect(plan.late).toEqual({ short: 0, promised: 0 })
  })
  it('waits for a part, drives to a customer and back, and stops with the light', () => {
    const waiting = job('waiting', [60])
    waiting.segments[0] = { ...waiting.segments[0]!, readyAt: 100, because: 'The flywheel comes.' }
    expect(planWeek([waiting], windows).blocks[0]!.from).toBe(100)
    const plan = planWeek([job('out', [400], { site: 'driveway', travelMinutes: 20 }), job('in', [30])], windows)
    const out = plan.blocks.find(block => block.jobId === 'out')!
    expect(out.to).toBeLessThanOrEqual(360)
    expect(out.travel![1] - out.travel![0]).toBe(20)
  })
  it('says so where the days do not hold it', () => {
    const plan = planWeek([job('huge', [5000]), job('small', [10])], windows)
    expect(plan.ends).toMatchObject({ huge: Infinity, small: 10 })
  })
  const some = fc.array(
    fc.record({
      minutes: fc.array(fc.integer({ min: 10, max: 200 }), { minLength: 1, maxLength: 3 }),
      waits: fc.array(fc.integer({ min: 0, max: 120 }), { minLength: 3, maxLength: 3 }),
      due: fc.option(fc.integer({ min: 100, max: 3000 })),
      driveway: fc.boolean(),
      travel: fc.integer({ min: 0, max: 40 }),
      notBefore: fc.constantFrom(0, 0, 1440),
    }),
    { minLength: 1, maxLength: 8 },
  )
  it('has the mechanic at one car at a time, in order, inside the hours, never below its bound (property)', () => {
    fc.assert(
      fc.property(some, list => {
        const jobs = list.map(({ minutes, waits, due, driveway, travel, notBefore }, index) =>
          job(
            `j${index}`,
            minutes,
            { dueAt: due, site: driveway ? 'driveway' : 'bay', travelMinutes: travel, notBefore },
            waits,
          ),
        )
        const plan = planWeek(jobs, windows)
        const ordered = [...plan.blocks].sort((a, b) => a.from - b.from)
        for (const [index, block] of ordered.entries()) {
          const own = jobs.find(each => each.id === block.jobId)!
          const before = ordered[index - 1]
          if (before) expect((block.travel?.[0] ?? block.from) + 1e-6).toBeGreaterThanOrEqual(before.to)
          expect(block.from).toBeGreaterThanOrEqual(own.notBefore)
          expect(
            windows[own.site].some(([opens, closes]) => block.from >= opens - 1e-6 && block.to <= closes + 1e-6),
          ).toBe(true)
          const whole = plan.blocks
            .filter(other => other.jobId === block.jobId && other.segment === block.segment)
            .reduce((sum, { from, to }) => sum + to - from, 0)
          if (plan.ends[own.id] === Infinity)
            expect(whole).toBeLessThanOrEqual(own.segments[block.segment]!.minutes + 1e-6)
          else expect(whole).toBeCloseTo(own.segments[block.segment]!.minutes, 6)
          for (const earlier of plan.blocks.filter(
            other => other.jobId === block.jobId && other.segment === block.segment - 1,
          ))
            expect(block.from + 1e-6).toBeGreaterThanOrEqual(earlier.to + own.segments[earlier.segment]!.waitAfter)
        }
        expect(plan.cost + 1e-6).toBeGreaterThanOrEqual(plan.lowerBound)
        expect(planWeek(jobs, windows)).toEqual(plan)
      }),
      { numRuns: 60 },
    )
  })
  it('finds what trying everything finds, where cars are one piece each in the bay', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({ minutes: fc.integer({ min: 20, max: 150 }), due: fc.option(fc.integer({ min: 50, max: 900 })) }),
          { minLength: 2, maxLength: 5 },
        ),
        list => {
          const jobs = list.map(({ minutes, due }, index) => job(`j${index}`, [minutes], { dueAt: due }))
          // Written anew: cars one after another on a clock of working minutes.
          const cost = (order: WeekJob[]) => {
            let worked = 0
            return order.reduce(
              (sum, each) => {
                worked += each.segments[0]!.minutes
                const end = Math.floor((worked - 1e-9) / 480) * 1440 + worked - Math.floor((worked - 1e-9) / 480) * 480
                return sum + Math.max(0, end - (each.dueAt ?? Infinity)) * 10 + end * 0.1
              },
              5 * (order.length - 1),
            )
          }
          const orders = (rest: WeekJob[]): WeekJob[][] =>
            rest.length < 2
              ? [rest]
              : rest.flatMap((head, index) => orders(rest.filter((_, at) => at !== index)).map(tail => [head, ...tail]))
          expect(planWeek(jobs, windows).cost).toBeCloseTo(Math.min(...orders(jobs).map(cost)), 6)
        },
      ),
      { numRuns: 40 },
    )
  })
})

describe('weekRange', () => {
  it('lies between what a car waits for and the last start that keeps its promise', () => {
    const late = job('a', [300], { dueAt: 1920 })
    late.segments[0] = { ...late.segments[0]!, readyAt: 60, because: 'The flywheel comes.' }
    expect(weekRange(late, windows)).toEqual({
      earliest: 60,
      latest: 1440,
      tooEarly: 'The flywheel comes.',
      tooLate: 'Then it is not done when it was promised.',
    })
    expect(weekRange(job('b', [30]), windows).latest).toBeNull()
    expect(weekRange(job('c', [3000], { dueAt: 100 }), windows).latest).toBeNull()
  })
})

describe('windows', () => {
  it('open at their first minute, and end with the last', () => {
    expect(opening(bay, 500)).toBe(1440)
    expect(opening(bay, 4000)).toBe(Infinity)
  })
})
