import { expect, it } from 'vitest'
import type { Plan } from '../../core/sequence'
import { legalBand, placeAt } from './step-drag'

/** Three operations of ten minutes, one after another, the car raised between the first and the second. */
const step = (id: string, kind: string, startMinutes: number, finishMinutes: number) => ({
  id,
  kind,
  startMinutes,
  finishMinutes,
})
const plan = {
  order: ['a', 'up', 'b', 'c'],
  steps: [
    step('a', 'operation', 0, 10),
    step('up', 'raise', 10, 15),
    step('b', 'operation', 15, 25),
    step('c', 'operation', 25, 35),
  ],
} as unknown as Plan
const x = (minutes: number) => minutes * 2

it('stands for its own place while the pointer is on the step, else behind every step whose middle it has passed', () => {
  expect(placeAt(plan, 'b', 40, x)).toBe(1)
  expect([5, 11, 59, 61, 500].map(px => placeAt(plan, 'b', px, x))).toEqual([0, 1, 1, 2, 2])
})
it('may go from what must come before to what must come after; a range of one place is still seen', () => {
  expect(legalBand(plan, 'b', { first: 0, last: 2 } as never, x)).toEqual({ from: 0, to: 70 })
  expect(legalBand(plan, 'b', { first: 1, last: 1 } as never, x)).toEqual({ from: 20, to: 50 })
  expect(legalBand(plan, 'a', { first: 1, last: 1 } as never, x)).toEqual({ from: 50, to: 53 })
})
