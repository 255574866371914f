import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { isRendered, measured, partsOf, plain, quantity, render, saidUnits } from '.'
import type { Reader } from '.'

const terms = { bell: { us: { one: 'bell housing' }, uk: { one: 'bellhousing' } } }
const metric: Reader = { terms, words: 'uk', units: { torque: 'N·m', length: 'mm', distance: 'km' } }
const inch: Reader = { terms, words: 'us', units: { torque: 'lbf·ft', length: 'in', distance: 'mi' } }

describe('a sentence', () => {
  const sentence = `The {bell} stands ${quantity(3.2, 'mm', 1)} to ${quantity(12, 'mm')} off; pull it with ${quantity(53.5, 'N·m', 1)}.`
  it('is rendered once, in the reader’s units and words', () => {
    expect(render(sentence, metric)).toBe('The bellhousing stands 3.2 mm to 12 mm off; pull it with 53.5 N·m.')
    expect(render(sentence, inch)).toBe('The bell housing stands 0.126 in to 0.472 in off; pull it with 39.5 lbf·ft.')
  })
  it('keeps figure and unit together where that is asked for', () => {
    expect(render(`Only ${quantity(7, 'kg')}.`, metric, '\u00a0')).toBe('Only 7\u00a0kg.')
  })
  it('is text and quantities', () => {
    expect(partsOf(sentence)).toEqual([
      'The {bell} stands ',
      { value: 3.2, unit: 'mm', digits: 1 },
      ' to ',
      { value: 12, unit: 'mm', digits: 0 },
      ' off; pull it with ',
      { value: 53.5, unit: 'N·m', digits: 1 },
      '.',
    ])
  })
  it('reads plainly without a reader', () => {
    expect(plain(sentence)).toBe('The {bell} stands 3.2 mm to 12 mm off; pull it with 53.5 N·m.')
  })
  it('says what is no quantity as it is', () => {
    expect(quantity(Infinity, 'mm')).toBe('Infinity mm')
    expect(measured(3, '°')).toBe('3 °')
    expect(measured(24, '')).toBe('24')
    expect(measured(3, 'mm', 2)).toBe('{3.00 mm}')
  })
  it('leaves no token behind, whatever the quantity (property)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -1e6, max: 1e6, noNaN: true }),
        fc.constantFrom(...saidUnits),
        fc.option(fc.integer({ min: 0, max: 4 })),
        fc.constantFrom(metric, inch),
        (value, unit, digits, reader) => {
          expect(isRendered(render(`a ${quantity(value, unit, digits ?? undefined)} b`, reader))).toBe(true)
        },
      ),
    )
  })
})
