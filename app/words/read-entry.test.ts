import { describe, expect, it } from 'vitest'
import { readEntry, shownEntry } from './read-entry'

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

describe('what a field shows', () => {
  const typed = (text: string, preference: typeof metric | typeof inch) => readEntry(text, 'mm', preference)
  it('is what was typed, as long as it means the same', () => {
    expect(shownEntry(typed('7,20', metric), 'mm', metric)).toBe('7,20')
    expect(shownEntry(typed('5 thou', inch), 'mm', metric)).toBe('5 thou')
    expect(shownEntry(readEntry('24', '', metric), '', inch)).toBe('24')
    expect(shownEntry(typed('worn', metric), 'mm', inch)).toBe('worn')
  })
  it('is what it means today, where the garage has changed its units or how it writes numbers', () => {
    expect(shownEntry(typed('8.5', metric), 'mm', inch)).toBe('0.3346')
    expect(shownEntry(typed('0.25', inch), 'mm', metric)).toBe('6.35')
    expect(shownEntry(typed('0.25', inch), 'mm', { ...metric, numbers: 'comma' })).toBe('6,35')
  })
})
