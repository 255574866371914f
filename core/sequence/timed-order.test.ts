import fc from 'fast-check'
import { expect, it } from 'vitest'
import { jobs } from '../../tests/reference/solver-truth'
import { durationOf } from './clock'
import { buildInstance } from './instance'
import { TimedOrder } from './timed-order'

it('times an order with a changed stretch as if it were timed from the start', () => {
  let tried = 0
  fc.assert(
    fc.property(jobs({ min: 8, max: 24 }), fc.infiniteStream(fc.nat()), (problem, stream) => {
      const { setup, ...rest } = problem
      const steps = problem.steps.map((step, index) => (index % 7 === 3 ? { ...step, notBefore: 60 } : step))
      const instance = buildInstance({ ...rest, steps, setup: { ...setup, lowerMinutes: setup.raiseMinutes } })
      const timed = new TimedOrder(instance, instance.topological.slice())
      for (let round = 0; round < 30; round++) {
        const from = stream.next().value % instance.count
        const to = from + 1 + (stream.next().value % (instance.count - from))
        const candidate = timed.order.slice()
        candidate.set(
          candidate.slice(from, to).sort((a, b) => Number(instance.after[a]!.includes(b)) * -2 + 1),
          from,
        )
        if (candidate.some((step, at) => instance.before[step]!.some(other => candidate.indexOf(other) > at))) continue
        tried++
        const truth = durationOf(instance, candidate)
        expect(timed.minutesOf(candidate, from, to, Infinity)).toBeCloseTo(truth, 6)
        if (round % 3 === 0) timed.take(candidate, from)
      }
    }),
    { numRuns: 60, seed: 20261105 },
  )
  expect(tried).toBeGreaterThan(300)
})
