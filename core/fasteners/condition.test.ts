import { describe, expect, it } from 'vitest'
import { conditionOf, frictionOf, headTreatments, threadConditions, threadTreatments, treatmentOf } from './condition'

describe('thread and head', () => {
  it('are asked apart: every pair is one condition, and every condition one pair', () => {
    const pairs = threadTreatments.flatMap(thread => headTreatments.map(head => conditionOf(thread, head)))
    expect(new Set(pairs)).toEqual(new Set(threadConditions))
    for (const condition of threadConditions) {
      const { thread, head } = treatmentOf(condition)
      expect(conditionOf(thread, head)).toBe(condition)
    }
  })
  it('have their own friction', () => {
    const both = frictionOf('threadlocker-head-lubricated').usual
    expect(both.threadFriction).toBe(frictionOf('threadlocker').usual.threadFriction)
    expect(both.headFriction).toBe(frictionOf('head-lubricated').usual.headFriction)
    expect(frictionOf('thread-oiled').usual.headFriction).toBe(frictionOf('dry').usual.headFriction)
  })
})
