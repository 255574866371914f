import { describe, expect, it } from 'vitest'
import { findingOf } from '../../../tests/support/one-judge'

describe('what goes with a converter', () => {
  const seat = { depth: [22, 22.4, 22.2], flexplate: [19, 19], low: 1.6, high: 4.8 }
  it('is home where the gap lies in its window, by the mean of the places', () => {
    const found = findingOf('converter-seat', seat)
    expect(found).toMatchObject({ level: 'good' })
    expect(found.figures[0]!.value).toBeCloseTo(3.2, 9)
  })
  it('is a drop short where so much is missing, and says that no bolt draws it in', () => {
    const found = findingOf('converter-seat', { ...seat, depth: [4, 4, 4], drops: [20, 18] })
    expect(found).toMatchObject({ level: 'renew', sentence: expect.stringContaining('no bolt draws it in') })
    expect(found.working.join()).toContain('2 of 3')
  })
  it.each([
    [[19, 19, 19], 'No gap'],
    [[26, 26, 26], 'out of the pump'],
  ])('is not right at %j', (depth, says) => {
    expect(findingOf('converter-seat', { ...seat, depth })).toMatchObject({
      level: 'renew',
      sentence: expect.stringContaining(says),
    })
  })
  it('leaves the first filling: total less what is in it already', () => {
    const found = findingOf('converter-filled', { total: 9500, converter: 2000, stays: 500 })
    expect(found.level).toBe('good')
    expect(found.figures[0]!.value).toBe(7000)
    expect(findingOf('converter-filled', { total: 9500, converter: 0 }).level).toBe('watch')
    expect(findingOf('converter-filled', { total: 1500, converter: 2000 }).level).toBe('renew')
  })
  it('shows bolt after bolt in its opening', () => {
    const found = findingOf('bolt-ring', { bolts: 6, teeth: 132 })
    expect(found.figures[0]!.value).toBe(60)
    expect(found.sentence).toContain('22.0 teeth')
  })
  it('is flushed when twice what lines and cooler hold went through', () => {
    expect(findingOf('cooler-flush', { line: 250, cooler: 350, pumped: 1200 }).level).toBe('good')
    expect(findingOf('cooler-flush', { line: 250, cooler: 350, pumped: 700 })).toMatchObject({
      level: 'watch',
      sentence: expect.stringContaining('{500 ml} more'),
    })
  })
  it('has its level set inside its window alone', () => {
    const level = { inBox: 8000, low: 35, high: 45, expansion: 0.9, overfill: 300 }
    expect(findingOf('overflow-level', { ...level, temperature: 40 }).level).toBe('good')
    // 8000 ml × 0.0009 × 15 K = 108 ml, by hand.
    const cold = findingOf('overflow-level', { ...level, temperature: 20 })
    expect(cold.level).toBe('renew')
    expect(cold.figures[0]!.value).toBeCloseTo(408, 6)
    expect(findingOf('overflow-level', { ...level, temperature: 60 })).toMatchObject({
      level: 'renew',
      sentence: expect.stringContaining('too hot'),
    })
  })
  it('lies even under a straight edge, or is warped', () => {
    expect(findingOf('flatness', { gaps: [0.02, 0.03, 0.02, 0.04, 0.02, 0.03], limit: 0.05 }).level).toBe('good')
    expect(findingOf('flatness', { gaps: [0.02, 0.03, 0.1, 0.04, 0.02, 0.03], limit: 0.05 })).toMatchObject({
      level: 'renew',
      sentence: expect.stringContaining('place 3'),
    })
  })
})
