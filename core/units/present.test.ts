import { describe, expect, it } from 'vitest'
import { inReadersUnit } from './in-readers-unit'
import type { UnitPreference } from './present'
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
    expect(inBothUnits(54.2, metric)).toMatchObject({
      main: { text: '54.2', unit: 'N·m' },
      other: { text: '40', unit: 'lbf·ft' },
    })
    expect(inBothUnits(54.2, inch).main.unit).toBe('lbf·ft')
  })
  it('goes to inch pounds where a foot pound is too coarse', () => {
    expect(preferredUnit(9, inch)).toBe('lbf·in')
    expect(preferredUnit(9, metric)).toBe('N·m')
    expect(inBothUnits(9, inch).main).toMatchObject({ text: '80', unit: 'lbf·in' })
  })
})

describe('inReadersUnit', () => {
  const said = (
    value: number,
    unit: Parameters<typeof inReadersUnit>[0]['unit'],
    digits = 0,
    preference: UnitPreference = inch,
  ) => inReadersUnit({ value, unit, digits }, preference).join(' ')
  it('leaves what the reader likes as it was measured', () => {
    expect(said(7, 'mm', 2, metric)).toBe('7.00 mm')
    expect(said(9, 'N·m', 1, metric)).toBe('9.0 N·m')
    expect(said(45, 'K', 0, metric)).toBe('45 °C')
  })
  it('rewrites torque, force, length, mass, distance, pressure and heat', () => {
    expect([said(7, 'mm'), said(12.8, 'kN', 1), said(53.5, 'N·m', 1), said(9, 'N·m', 1)]).toEqual([
      '0.276 in',
      '2880 lbf',
      '39.5 lbf·ft',
      '80 lbf·in',
    ])
    expect([said(10, 'kg'), said(100, 'km'), said(20, 'bar'), said(20, '°C'), said(45, 'K')]).toEqual([
      '22 lb',
      '62 mi',
      '290 psi',
      '68 °F',
      '81 °F',
    ])
  })
  it('tells small volumes by the scale of their vessel', () => {
    expect(said(20, 'ml', 0, { ...inch, volume: 'US qt' })).toBe('20 ml')
    expect(said(1893, 'ml', 0, { ...inch, volume: 'US qt' })).toBe('2 US qt')
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
