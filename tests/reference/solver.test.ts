import fc from 'fast-check'
import highs from 'highs'
import { describe, expect, it } from 'vitest'
import { sequence } from '../../core'
import { asIntegerProgramme, jobs, shortestByForce, timeOf } from './solver-truth'

/** Formula: the length of an order by the definition of the problem, over every order there is. */
describe('solve against brute force', () => {
  it('finds the shortest order of jobs of up to seven steps, proves it, and states its times', () => {
    fc.assert(
      fc.property(jobs({ min: 1, max: 7 }), problem => {
        const solution = sequence.solve(problem)
        expect([...solution.order].sort()).toEqual(problem.steps.map(step => step.id).sort())
        const truth = timeOf(problem, solution.order)!
        expect(truth).not.toBeNull()
        expect(solution.startMinutes).toEqual(truth.starts.map(start => expect.closeTo(start, 6)))
        expect(solution.minutes).toBeCloseTo(truth.minutes, 6)
        expect(solution.minutes).toBeCloseTo(shortestByForce(problem), 6)
        expect(solution.proven).toBe(true)
        expect(solution.lowerBoundMinutes).toBe(solution.minutes)
      }),
      { numRuns: 250, seed: 20261101 },
    )
  })

  it('does so on jobs of eight steps', () => {
    fc.assert(
      fc.property(jobs({ min: 8, max: 8 }), problem => {
        expect(sequence.solve(problem).minutes).toBeCloseTo(shortestByForce(problem), 6)
      }),
      { numRuns: 12, seed: 20261102 },
    )
  })

  it('keeps a bound below the shortest order, and an order above it, when it may not search', () => {
    fc.assert(
      fc.property(jobs({ min: 1, max: 7 }), problem => {
        const hasty = sequence.solve(problem, { moves: 1, labels: 1, boundSets: 3 })
        const shortest = shortestByForce(problem)
        expect(hasty.lowerBoundMinutes).toBeLessThanOrEqual(shortest + 1e-6)
        expect(hasty.minutes).toBeGreaterThanOrEqual(shortest - 1e-6)
        expect(timeOf(problem, hasty.order)!.minutes).toBeCloseTo(hasty.minutes, 6)
        if (hasty.proven) expect(hasty.minutes).toBeCloseTo(shortest, 6)
      }),
      { numRuns: 250, seed: 20261103 },
    )
  })
})

describe('solve with tools that stay at hand', () => {
  const withTray = fc
    .record({ job: jobs({ min: 2, max: 7 }), trayTools: fc.integer({ min: 1, max: 4 }) })
    .map(({ job, trayTools }) => ({ ...job, setup: { ...job.setup, trayTools } }))

  it('times its order by the plain meaning, and lies between its bound and a little above the shortest of all', () => {
    let off = 0
    fc.assert(
      fc.property(withTray, problem => {
        const solution = sequence.solve(problem)
        const truth = timeOf(problem, solution.order)!
        expect(solution.startMinutes).toEqual(truth.starts.map(start => expect.closeTo(start, 6)))
        expect(solution.minutes).toBeCloseTo(truth.minutes, 6)
        const shortest = shortestByForce(problem)
        expect(solution.lowerBoundMinutes).toBeLessThanOrEqual(shortest + 1e-6)
        expect(solution.minutes).toBeLessThanOrEqual(shortest * 1.1 + 1)
        if (solution.minutes > shortest + 1e-6) off++
        if (solution.proven) expect(solution.minutes).toBeCloseTo(shortest, 6)
      }),
      { numRuns: 150, seed: 20261105 },
    )
    expect(off).toBeLessThan(8)
  })
  it('is never longer than without', () => {
    fc.assert(
      fc.property(withTray, problem => {
        const { trayTools: _tray, ...setup } = problem.setup
        expect(sequence.solve(problem).minutes).toBeLessThanOrEqual(
          sequence.solve({ ...problem, setup }).minutes + 1e-6,
        )
      }),
      { numRuns: 60, seed: 20261106 },
    )
  })
  it('wants a whole number of tools', () => {
    const problem = fc.sample(withTray, { numRuns: 1, seed: 1 })[0]!
    expect(() => sequence.solve({ ...problem, setup: { ...problem.setup, trayTools: 1.5 } })).toThrow(/trayTools/)
    expect(() => sequence.solve({ ...problem, setup: { ...problem.setup, trayTools: -1 } })).toThrow(/trayTools/)
  })
})

/** Library: `highs`, a mixed-integer solver, on an independent statement of the problem. */
describe('solve against an integer programme', () => {
  it('finds the same optimum', async () => {
    const solver = await highs()
    fc.assert(
      fc.property(jobs({ min: 3, max: 6 }), problem => {
        const reference = solver.solve(asIntegerProgramme(problem), { mip_rel_gap: 0, mip_abs_gap: 1e-6 })
        expect(reference.Status).toBe('Optimal')
        expect(sequence.solve(problem).minutes).toBeCloseTo(reference.ObjectiveValue, 4)
      }),
      { numRuns: 8, seed: 20261104 },
    )
  }, 300_000)
})

describe('solve at its edges', () => {
  const setup = { walkMinutes: 2, raiseMinutes: 8, toolMinutes: 0.5 }
  const start = { place: 'top', car: 'ground' as const }
  const step = (id: string, minutes = 5) => ({ id, minutes, place: 'top', car: 'either' as const, tools: [] })

  it('plans nothing as nothing', () => {
    expect(sequence.solve({ steps: [], links: [], setup, start })).toEqual({
      order: [],
      startMinutes: [],
      minutes: 0,
      lowerBoundMinutes: 0,
      proven: true,
    })
  })
  it('names the ids of a cycle', () => {
    const links = [
      { before: 'a', after: 'b' },
      { before: 'b', after: 'c' },
      { before: 'c', after: 'a' },
    ]
    try {
      sequence.solve({ steps: ['a', 'b', 'c'].map(id => step(id)), links, setup, start })
      expect.unreachable()
    } catch (error) {
      expect(error).toBeInstanceOf(sequence.CycleError)
      expect(new Set((error as sequence.CycleError).cycle)).toEqual(new Set(['a', 'b', 'c']))
    }
  })
  it('refuses what is no job, with the path', () => {
    const problem = { steps: [step('a'), step('b')], links: [], setup, start }
    expect(() => sequence.solve({ ...problem, steps: [step('a'), step('a')] })).toThrow('"a" stands twice')
    expect(() => sequence.solve({ ...problem, links: [{ before: 'a', after: 'z' }] })).toThrow(
      'links[0]: there is no step "z"',
    )
    expect(() => sequence.solve({ ...problem, links: [{ before: 'a', after: 'b', waitMinutes: -1 }] })).toThrow(
      'links[0].waitMinutes',
    )
    expect(() => sequence.solve({ ...problem, steps: [step('a', NaN)] })).toThrow('steps[0].minutes')
    expect(() => sequence.solve({ ...problem, setup: { ...setup, walkMinutes: Infinity } })).toThrow(
      'setup.walkMinutes',
    )
  })
  it('gives the same answer twice, and another seed a legal one', () => {
    const [problem] = fc.sample(jobs({ min: 40, max: 40 }), { numRuns: 1, seed: 5 })
    const once = sequence.solve(problem!, { moves: 4000 })
    expect(sequence.solve(problem!, { moves: 4000 })).toEqual(once)
    expect(timeOf(problem!, sequence.solve(problem!, { moves: 4000, seed: 9 }).order)).not.toBeNull()
    expect(once.lowerBoundMinutes).toBeLessThanOrEqual(once.minutes)
  })
  it('fills a wait with other work', () => {
    const steps = [step('seal', 5), step('torque', 5), step('other', 30), step('more', 30)]
    const solution = sequence.solve({
      steps,
      links: [{ before: 'seal', after: 'torque', waitMinutes: 60 }],
      setup,
      start,
    })
    expect(solution).toMatchObject({ minutes: 70, proven: true })
    expect(solution.order[0]).toBe('seal')
    expect(solution.order.at(-1)).toBe('torque')
  })
})
