import { describe, expect, it } from 'vitest'
import { FieldError } from '../base/field-error'
import { parseThread, stressAreaMm2 } from './thread'

describe('parseThread', () => {
  it('reads metric threads, coarse where no pitch is written', () => {
    expect(parseThread('M8x1.25')).toEqual({ designation: 'M8×1.25', system: 'metric', diameterMm: 8, pitchMm: 1.25 })
    expect(parseThread(' m10 ').pitchMm).toBe(1.5)
    expect(parseThread('M12 × 1,25').pitchMm).toBe(1.25)
  })
  it('reads unified threads by pitch, by series or by both', () => {
    expect(parseThread('7/16-20 UNF')).toMatchObject({ designation: '7/16-20 UNF', system: 'unified' })
    expect(parseThread('7/16-20 UNF').diameterMm).toBeCloseTo(11.1125, 9)
    expect(parseThread('3/8 UNC').pitchMm).toBeCloseTo(25.4 / 16, 12)
    expect(parseThread('#10-24').diameterMm).toBeCloseTo(4.826, 9)
    expect(parseThread('1/2-13 UNC-2A').designation).toBe('1/2-13 UNC')
  })
  it.each([
    ['', 'is not a thread'],
    ['banana', 'is not a thread'],
    ['M8x-1', 'is not a thread'],
    ['-3/8-16', 'is not a thread'],
    ['M0', 'M0 is not a size'],
    ['M8.3', 'not a size'],
    ['M8x9', 'no pitch of 9 mm'],
    ['M8x0.1', 'not made with a pitch'],
    ['M24x1.4', 'not made with a pitch'],
    ['3/8', 'How many threads to the inch'],
    ['3/8-99', 'not made with 99'],
    ['7/16-20 UNC', 'has 14 threads to the inch'],
    ['#13-24', 'is not a thread'],
  ])('refuses %s', (text, reason) => {
    expect(() => parseThread(text)).toThrow(FieldError)
    expect(() => parseThread(text)).toThrow(reason)
  })
  it('names the field', () => {
    try {
      stressAreaMm2('M8.3')
      expect.unreachable()
    } catch (error) {
      expect(error).toMatchObject({ path: 'thread', reason: 'M8.3 is not a size that is made.' })
    }
  })
})
