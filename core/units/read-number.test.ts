import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { readNumber } from './read-number'

describe('readNumber', () => {
  it('takes 143,200 for what the garage means by it, and tells the doubt', () => {
    expect(readNumber('143,200', 'point')).toEqual({ value: 143_200, other: 143.2, problem: null })
    expect(readNumber('143,200', 'comma')).toEqual({ value: 143.2, other: 143_200, problem: null })
    expect(readNumber('143.200', 'comma')).toEqual({ value: 143_200, other: 143.2, problem: null })
  })
  it('has no doubt where the text or the bounds decide', () => {
    expect(readNumber('143 200')).toEqual({ value: 143_200, other: null, problem: null })
    expect(readNumber('1,234.5', 'comma').value).toBe(1234.5)
    expect(readNumber('1.234,5', 'point').value).toBe(1234.5)
    expect(readNumber('1.143.200', 'point').value).toBe(1_143_200)
    expect(readNumber('8,5', 'point')).toEqual({ value: 8.5, other: null, problem: null })
    expect(readNumber('0,125', 'point')).toEqual({ value: 0.125, other: null, problem: null })
    expect(readNumber('5,625', 'point', { low: 2, high: 40 })).toEqual({ value: 5.625, other: null, problem: null })
    expect(readNumber('−3'.replace('−', '-')).value).toBe(-3)
  })
  it('says what is no number', () => {
    for (const text of ['', 'twelve', '12-', '1.2.3', '12,34,56', '1,23.456', '5.', '--2', 'NaN', '1e5', '0x10'])
      expect(readNumber(text).value, text).toBeNull()
    expect(readNumber('twelve').problem).toBe('“twelve” is not a number.')
  })
  it('reads back what is written in either format, with groups or without (property)', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -999_999_999, max: 999_999_999 }),
        fc.integer({ min: 0, max: 99 }),
        fc.constantFrom('point', 'comma'),
        fc.boolean(),
        (whole, cents, format, groups) => {
          const [decimal, group] = format === 'point' ? ['.', ','] : [',', '.']
          const digits = String(Math.abs(whole))
          const written = `${whole < 0 ? '-' : ''}${groups ? digits.replaceAll(/\B(?=(\d{3})+(?!\d))/g, group!) : digits}${decimal}${String(cents).padStart(2, '0')}`
          expect(readNumber(written, format as 'point').value).toBeCloseTo(
            (whole < 0 ? -1 : 1) * (Math.abs(whole) + cents / 100),
            6,
          )
        },
      ),
    )
  })
})
