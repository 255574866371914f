import { describe, expect, it } from 'vitest'
import { readEntry } from './read-entry'

const metric = { torque: 'N·m', length: 'mm', distance: 'km' } as const
const inch = { torque: 'lbf·ft', length: 'in', distance: 'mi' } as const

describe('readEntry', () => {
  it('takes the garage’s unit, and any other that is written', () => {
    expect(readEntry('7,2', 'mm', metric)).toEqual({ entered: '7,2', value: 7.2 })
    expect(readEntry('0.25', 'mm', inch).value).toBe(6.35)
    expect(readEntry('5 thou', 'mm', metric).value).toBe(0.127)
    expect(readEntry('100', 'km', inch).value).toBeCloseTo(160.9344, 4)
    expect(readEntry('24', '', metric).value).toBe(24)
    expect(readEntry('1500 rpm', 'rpm', inch).value).toBe(1500)
  })
  it('keeps what it cannot read', () => {
    expect(readEntry('7.2 furlong', 'mm', metric)).toEqual({ entered: '7.2 furlong', value: null })
    expect(readEntry('worn', 'mm', metric)).toEqual({ entered: 'worn', value: null })
    expect(readEntry('12 mm', '', metric).value).toBeNull()
  })
})
