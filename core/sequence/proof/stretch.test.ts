import { expect, it } from 'vitest'
import { buildInstance } from '../instance'
import type { InstanceStep } from '../instance'
import { cutWork, wholeJob } from './stretch'

const step = (id: string): InstanceStep => ({ id, minutes: 1, place: 'top', car: 'either', tools: [] })
const ids = (prefix: string) => Array.from({ length: 14 }, (_, index) => `${prefix}${index}`)

it('cuts at the step that all others come before or after, and leaves out what may be done on either side of it', () => {
  const [before, after] = [ids('strip-'), ids('refit-')]
  const instance = buildInstance({
    steps: [...before, 'box-out', ...after, 'look'].map(step),
    links: [
      ...before.map(id => ({ before: id, after: 'box-out' })),
      ...after.map(id => ({ before: 'box-out', after: id })),
      { before: 'strip-0', after: 'look' },
    ],
    setup: { walkMinutes: 1, toolMinutes: 1, raiseMinutes: 1, lowerMinutes: 1 },
    start: { place: 'top', car: 'ground' },
  })
  const whole = wholeJob(instance)
  const named = cutWork(instance, Array.from(whole.steps), whole.entries).map(stretch =>
    Array.from(stretch.steps, each => instance.ids[each]),
  )
  expect(named).toEqual([[...before, 'box-out'], after])
})

it('leaves work whole that has no such step', () => {
  const all = ids('any-')
  const instance = buildInstance({
    steps: all.map(step),
    links: [],
    setup: { walkMinutes: 1, toolMinutes: 1, raiseMinutes: 1, lowerMinutes: 1 },
    start: { place: 'top', car: 'ground' },
  })
  const whole = wholeJob(instance)
  expect(cutWork(instance, Array.from(whole.steps), whole.entries).map(({ count }) => count)).toEqual([all.length])
})
