import { describe, expect, it } from 'vitest'
import { convert, UnitError } from './convert'

describe('convert', () => {
  it('keeps a value in its own unit', () => {
    expect(convert(12.34, 'N·m', 'N·m')).toBe(12.34)
  })
  it('reads the usual spellings', () => {
    expect(convert(1, 'ft-lb', 'Nm')).toBe(convert(1, 'lbf·ft', 'N·m'))
  })
  it('goes through an offset for temperatures', () => {
    expect(convert(212, '°F', '°C')).toBeCloseTo(100, 10)
    expect(convert(-40, '°C', '°F')).toBeCloseTo(-40, 10)
  })
  it('refuses unlike kinds', () => {
    expect(() => convert(1, 'N·m', 'mm')).toThrow('N·m measures torque, mm measures length')
    expect(() => convert(1, 'lbf', 'kg')).toThrow(UnitError)
  })
  it('refuses a unit it does not know, and a value that is none', () => {
    expect(() => convert(1, 'furlong', 'mm')).toThrow('"furlong" is not a unit')
    expect(() => convert(NaN, 'mm', 'in')).toThrow('finite')
    expect(() => convert(Infinity, 'mm', 'mm')).toThrow('finite')
  })
})
