import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { seededRandom } from '../../base/random'
import { durationOf } from '../clock'
import { greedyOrder } from '../greedy-order'
import { buildInstance } from '../instance'
import type { Instance, InstanceSource, InstanceStep } from '../instance'
import { proveOrder } from './prove-order'

const setup = { walkMinutes: 1.5, toolMinutes: 0.4, raiseMinutes: 12, lowerMinutes: 8, washMinutes: 2 }
const start = { place: 'top', car: 'ground' as const }

/** A job of some steps with links that point forward, waits, late parts, dirty hands and steps bound together. */
function anyJob(count: number, seed: number, trayTools = 0): InstanceSource {
  const random = seededRandom(seed)
  const oneOf = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!
  const steps = Array.from({ length: count }, (_, index): InstanceStep => {
    const hands = oneOf([undefined, undefined, 'dirty', 'clean'] as const)
    return {
      id: `s${index}`,
      minutes: 1 + Math.floor(random() * 9),
      place: oneOf(['top', 'under', 'bench']),
      car: oneOf(['ground', 'raised', 'either', 'either']),
      tools: ['a', 'b', 'c', 'd'].filter(() => random() < 0.3),
      ...(hands ? { hands } : {}),
      ...(random() < 0.08 ? { notBefore: Math.floor(random() * 60) } : {}),
      ...(index > 0 && random() < 0.08 ? { directlyAfter: `s${index - 1}` } : {}),
    }
  })
  // Two cannot stand directly behind the same step.
  const links = steps.flatMap((step, index) =>
    step.directlyAfter
      ? [{ before: step.directlyAfter, after: step.id }]
      : steps
          .slice(0, index)
          .filter(() => random() < 0.25)
          .map(before => ({ before: before.id, after: step.id, waitMinutes: random() < 0.2 ? 30 : 0 })),
  )
  return { steps, links, setup: { ...setup, trayTools }, start }
}

function isLegal(instance: Instance, order: ArrayLike<number>): boolean {
  const place = new Map(Array.from(order).map((step, at) => [step, at]))
  return (
    place.size === instance.count &&
    instance.before.every((list, step) => list.every(before => place.get(before)! < place.get(step)!)) &&
    instance.directlyAfter.every((leader, step) => leader < 0 || place.get(leader) === place.get(step)! - 1)
  )
}

/** The shortest order, by trying every one. */
function byForce(instance: Instance): number {
  let best = Infinity
  const order: number[] = []
  const go = () => {
    if (order.length === instance.count) {
      if (isLegal(instance, order)) best = Math.min(best, durationOf(instance, order))
      return
    }
    for (let step = 0; step < instance.count; step++) {
      if (order.includes(step) || !instance.before[step]!.every(before => order.includes(before))) continue
      order.push(step)
      go()
      order.pop()
    }
  }
  go()
  return best
}

describe('the proof of an order', () => {
  it('is the shortest there is, with waits, late parts, washing and steps bound together (every order tried)', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 8 }), fc.integer({ min: 0, max: 1e6 }), (count, seed) => {
        const instance = buildInstance(anyJob(count, seed))
        const known = greedyOrder(instance)
        const proof = proveOrder(instance, known, 0)
        const shortest = byForce(instance)
        expect(durationOf(instance, proof.order ?? known)).toBeCloseTo(shortest, 6)
        expect(proof.lowerBoundMinutes).toBeCloseTo(shortest, 6)
        expect(isLegal(instance, proof.order ?? known)).toBe(true)
      }),
      { numRuns: 300, seed: 20261130 },
    )
  })

  it('is below the shortest there is when it may hardly look', () => {
    fc.assert(
      fc.property(fc.integer({ min: 2, max: 7 }), fc.integer({ min: 0, max: 1e6 }), (count, seed) => {
        const instance = buildInstance(anyJob(count, seed))
        const proof = proveOrder(instance, greedyOrder(instance), 0, { rounds: 5, labels: 2 })
        expect(proof.lowerBoundMinutes).toBeLessThanOrEqual(byForce(instance) + 1e-6)
      }),
      { numRuns: 200, seed: 20261201 },
    )
  })

  it('is below the shortest there is with a tray of tools at hand, and never above what it finds', () => {
    fc.assert(
      fc.property(fc.integer({ min: 2, max: 7 }), fc.integer({ min: 0, max: 1e6 }), (count, seed) => {
        const instance = buildInstance(anyJob(count, seed, 1 + (seed % 4)))
        const known = greedyOrder(instance)
        const proof = proveOrder(instance, known, 0)
        const shortest = byForce(instance)
        expect(proof.lowerBoundMinutes).toBeLessThanOrEqual(shortest + 1e-6)
        expect(durationOf(instance, proof.order ?? known)).toBeGreaterThanOrEqual(shortest - 1e-6)
      }),
      { numRuns: 200, seed: 20261202 },
    )
  })

  /** Jobs one after the other, each done before the next begins. */
  function inARow(parts: number, count: number, seed: number): InstanceSource {
    const jobs = Array.from({ length: parts }, (_, part) => anyJob(count, seed + part))
    const named = (part: number, id: string) => `${part}-${id}`
    return {
      steps: jobs.flatMap(({ steps }, part) =>
        steps.map(({ notBefore: _late, directlyAfter: _bound, ...step }) => ({ ...step, id: named(part, step.id) })),
      ),
      links: jobs.flatMap(({ steps, links }, part) => [
        ...links.map(({ before, after }) => ({ before: named(part, before), after: named(part, after) })),
        ...(part === 0
          ? []
          : steps.flatMap(({ id }) =>
              steps.map(last => ({ before: named(part - 1, last.id), after: named(part, id) })),
            )),
      ]),
      setup,
      start,
    }
  }

  it('goes part by part where the whole is beyond reach, and stays below what the whole search finds', () => {
    for (const seed of [11, 22, 33]) {
      const instance = buildInstance(inARow(5, 9, seed))
      const known = greedyOrder(instance)
      const whole = proveOrder(instance, known, 0)
      const shortest = durationOf(instance, whole.order ?? known)
      expect(whole.lowerBoundMinutes).toBeLessThanOrEqual(shortest + 1e-6)
      // A known order far from the shortest is beyond reach, and is put right part by part.
      const far = Int32Array.from(instance.topological)
      const parts = proveOrder(instance, far, 0, { labels: 50_000 })
      expect(parts.lowerBoundMinutes).toBeLessThanOrEqual(shortest + 1e-6)
      expect(parts.lowerBoundMinutes).toBeGreaterThan(shortest * 0.8)
      expect(isLegal(instance, parts.order!)).toBe(true)
      expect(durationOf(instance, parts.order!)).toBeLessThan(durationOf(instance, far))
    }
  })

  it('ends where it is told to, with what it knows by then', () => {
    const instance = buildInstance(inARow(5, 9, 44))
    let told = 0
    const proof = proveOrder(instance, greedyOrder(instance), 1, { onProgress: () => ++told < 2 })
    expect(told).toBe(2)
    expect(proof.lowerBoundMinutes).toBeGreaterThan(1)
  })

  it('counts no wait that the night may hold', () => {
    const late = { ...anyJob(1, 1), steps: [{ ...anyJob(1, 1).steps[0]!, notBefore: 600 }] }
    const hours = { fromMinute: 480, toMinute: 1080, weekdays: [1, 2, 3, 4, 5] }
    const instance = buildInstance({ ...late, calendar: { hours, startMinuteOfDay: 480, startWeekday: 1 } })
    expect(proveOrder(instance, [0], 0).lowerBoundMinutes).toBeLessThan(60)
    expect(proveOrder(buildInstance(late), [0], 0).lowerBoundMinutes).toBeGreaterThan(600)
  })
})
