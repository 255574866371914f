import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { packs, sequence } from '../../core'
import { link, operation, smallPack } from '../support/small-pack'

const setting: sequence.PlanSetting = { ...sequence.defaultSetting, walkMinutes: 2, toolMinutes: 0.5 }
const RAISE = 10
const LOWER = 6

/** Small jobs of up to seven steps with random places, heights, tools, links and waits. */
const smallJob = fc
  .array(
    fc.record({
      place: fc.constantFrom<packs.Place>('top', 'under', 'wheels'),
      car: fc.constantFrom<'ground' | 'raised' | 'either'>('ground', 'raised', 'either'),
      minutes: fc.integer({ min: 1, max: 20 }),
      tools: fc.subarray(['x', 'y', 'z']),
      after: fc.option(fc.integer({ min: 0, max: 6 }), { freq: 1 }),
      wait: fc.constantFrom(0, 0, 0, 15),
    }),
    { minLength: 1, maxLength: 7 },
  )
  .map(steps => {
    const id = (index: number) => `s${index}`
    return packs.expandPack(
      smallPack({
        operations: steps.map((step, index) =>
          operation(id(index), {
            phase: 'bench',
            place: step.place,
            car: step.car,
            minutes: [step.minutes, step.minutes, step.minutes],
            tools: step.tools,
          }),
        ),
        links: steps.flatMap((step, index) =>
          step.after !== null && step.after < index
            ? [link(id(step.after), id(index), { mirror: false, ...(step.wait ? { waitMinutes: step.wait } : {}) })]
            : [],
        ),
      }),
    )
  })

/** The length of an order by its plain meaning, written without the planner; infinite when it breaks a link. */
function lengthOf(procedure: packs.Procedure, order: packs.Operation[]): number {
  const finished = new Map<string, number>()
  let clock = 0
  let place: packs.Place = setting.start.place
  let car = setting.start.car
  let held: string[] = []
  for (const step of order) {
    if (step.place !== place) clock += setting.walkMinutes
    if (step.car !== 'either' && step.car !== car) {
      clock += step.car === 'raised' ? RAISE : LOWER
      car = step.car
    }
    clock += step.tools.filter(tool => !held.includes(tool)).length * setting.toolMinutes
    for (const each of procedure.links.filter(({ after }) => after === step.id)) {
      const before = finished.get(each.before)
      if (before === undefined) return Infinity
      clock = Math.max(clock, before + each.waitMinutes)
    }
    clock += step.minutes[1]
    finished.set(step.id, clock)
    place = step.place
    held = step.tools
  }
  return clock
}

function permutations<T>(items: T[]): T[][] {
  if (items.length <= 1) return [items]
  return items.flatMap((item, index) =>
    permutations([...items.slice(0, index), ...items.slice(index + 1)]).map(rest => [item, ...rest]),
  )
}

/** Formula: the definition of the plan's length, by brute force over every order. */
describe('planJob on small jobs', () => {
  it('states the length its order really has, and finds the shortest there is', () => {
    fc.assert(
      fc.property(smallJob, procedure => {
        const plan = sequence.planJob(procedure, setting)
        const byId = new Map(procedure.operations.map(each => [each.id, each]))
        const order = plan.order.flatMap(id => byId.get(id) ?? [])
        expect(lengthOf(procedure, order)).toBeCloseTo(plan.totals.minutes, 6)
        expect(lengthOf(procedure, procedure.operations)).toBeCloseTo(plan.authored.minutes, 6)
        const shortest = Math.min(...permutations(procedure.operations).map(each => lengthOf(procedure, each)))
        expect(plan.totals.minutes).toBeCloseTo(shortest, 6)
        expect(plan.proven).toBe(true)
      }),
      { numRuns: 120, seed: 20260302 },
    )
  })

  it('adds up: work, set-up and waiting make the whole', () => {
    fc.assert(
      fc.property(smallJob, procedure => {
        const { totals, steps } = sequence.planJob(procedure, setting)
        expect(totals.workMinutes + totals.setupMinutes + totals.waitMinutes).toBeCloseTo(totals.minutes, 6)
        for (const [index, step] of steps.entries()) {
          expect(step.startMinutes - step.waitMinutes - step.setupMinutes).toBeCloseTo(
            steps[index - 1]?.finishMinutes ?? 0,
            6,
          )
        }
      }),
      { numRuns: 200, seed: 20260303 },
    )
  })
})
