import { expect, it } from 'vitest'
import type { AddedStep } from '../core/job'
import { foundBefore } from './found-before'

const step = (name: string, change: Partial<AddedStep> = {}, bolts = 0): AddedStep => ({
  stepId: 'own',
  title: `Take the ${name} off`,
  phase: 'strip',
  place: 'top',
  car: 'either',
  minutes: 8,
  tools: [],
  cautions: [],
  takesOff: [
    { id: 'a', name, count: 1, state: 'off', isFastener: false },
    ...(bolts ? [{ id: 'b', name: 'bolts', count: bolts, state: 'off' as const, isFastener: true }] : []),
  ],
  after: [],
  before: [],
  refit: { title: 'Back', minutes: 8 },
  ...change,
})

it('tells what was found on a model, as it was last told, the most frequent first', () => {
  const found = foundBefore([
    { jobId: 'new', step: step('bracket', { minutes: 12 }, 3) },
    { jobId: 'new', step: step('shield') },
    { jobId: 'old', step: step('Shield', { minutes: 30, refit: null }) },
    { jobId: 'old', step: step('nothing', { takesOff: [] }) },
  ])
  expect(found).toEqual([
    { name: 'shield', state: 'off', count: 1, bolts: 0, minutes: 8, goesBack: true, jobs: 2 },
    { name: 'bracket', state: 'off', count: 1, bolts: 3, minutes: 12, goesBack: true, jobs: 1 },
  ])
})
