import { describe, expect, it } from 'vitest'
import { stepMinutes } from './step-minutes'
import type { PlannedStep } from './types'

const step = (startMinutes: number, finishMinutes: number, closedMinutes?: number): PlannedStep => ({
  id: 's',
  kind: 'operation',
  place: 'top',
  car: 'ground',
  startMinutes,
  finishMinutes,
  setupMinutes: 0,
  waitMinutes: 0,
  shortHanded: false,
  ...(closedMinutes ? { closedMinutes } : {}),
})

describe('stepMinutes', () => {
  it('is the span of the step where nothing is closed, or closed before it', () => {
    expect(stepMinutes(step(100, 125))).toBe(25)
    expect(stepMinutes(step(900, 925, 840))).toBe(25)
  })
  it('leaves out the night inside a step that is longer than a day', () => {
    expect(stepMinutes(step(0, 1500, 840))).toBe(660)
  })
})
