import { describe, expect, it } from 'vitest'
import { inReadersUnits } from './in-readers-units'
import { parseQuantity } from './parse-quantity'
import { inBothUnits, inUnit, preferredUnit } from './present'

const metric = { torque: 'N·m', length: 'mm', distance: 'km' } as const
const inch = { torque: 'lbf·ft', length: 'in', distance: 'mi' } as const

describe('inUnit', () => {
  it('keeps the half newton metre of a half figure', () => {
    expect(inUnit(10.5, 'N·m', 'N·m').text).toBe('10.5')
  })
  it('leaves a zero decimal out, but never a zero that counts', () => {
    expect(inUnit(21, 'N·m', 'N·m').text).toBe('21')
    expect(inUnit(100, 'km', 'km').text).toBe('100')
  })
})

describe('inBothUnits', () => {
  it('puts the reader’s unit first', () => {
    expect(inBothUnits(54.2, metric)).toMatchObject({ main: { text: '54.2', unit: 'N·m' }, other: { text: '40', unit: 'lbf·ft' } })
    expect(inBothUnits(54.2, inch).main.unit).toBe('lbf·ft')
  })
  it('goes to inch pounds where a foot pound is too coarse', () => {
    expect(preferredUnit(9, inch)).toBe('lbf·in')
    expect(preferredUnit(9, metric)).toBe('N·m')
    expect(inBothUnits(9, inch).main).toMatchObject({ text: '80', unit: 'lbf·in' })
  })
})

describe('inReadersUnits', () => {
  it('rewrites torque, force and length, and leaves all else alone', () => {
    const text = '7 mm of thread strips at 12.8 kN; it fell from 53.5 N·m to 9.0 N·m after 45°, M8×1.25, 86 %.'
    expect(inReadersUnits(text, metric)).toBe(text)
    expect(inReadersUnits(text, inch)).toBe('0.276 in of thread strips at 2880 lbf; it fell from 39.5 lbf·ft to 80 lbf·in after 45°, M8×1.25, 86 %.')
  })
})

describe('parseQuantity', () => {
  it('takes the unit that is typed, else the assumed one', () => {
    expect(parseQuantity('40 lbf·ft', 'N·m')).toEqual({ value: 40, unit: 'lbf·ft' })
    expect(parseQuantity(' 8,5 ', 'mm')).toEqual({ value: 8.5, unit: 'mm' })
  })
  it('says what is wrong', () => {
    expect(() => parseQuantity('about 40', 'N·m')).toThrow('not a number')
    expect(() => parseQuantity('40 cubits', 'mm')).toThrow('"cubits"')
    expect(() => parseQuantity('', 'mm')).toThrow('not a number')
  })
})
