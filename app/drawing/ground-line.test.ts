import { expect, it } from 'vitest'
import type { Plan } from '../../core/sequence'
import { groundLine } from './ground-line'

it('rises where the car is raised, falls where it is lowered, and ends with the plan', () => {
  const plan = {
    steps: [
      { kind: 'operation', startMinutes: 0, finishMinutes: 10 },
      { kind: 'raise', startMinutes: 10, finishMinutes: 15 },
      { kind: 'operation', startMinutes: 15, finishMinutes: 40 },
      { kind: 'lower', startMinutes: 40, finishMinutes: 44 },
    ],
  } as Plan
  expect(groundLine(plan, minutes => minutes, 34, 10)).toBe('M0 34L10 34L15 10L40 10L44 34L44 34')
  expect(groundLine({ steps: [] } as unknown as Plan, minutes => minutes, 34, 10)).toBe('M0 34L0 34')
})
