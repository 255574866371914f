import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { cycleSeconds, paceAt } from './bleed-pace'

const calls = [
  { say: 'Press', seconds: 2.5 },
  { say: 'Open', seconds: 2 },
  { say: 'Close', seconds: 1.5 },
  { say: 'Let up', seconds: 2 },
]

describe('paceAt', () => {
  it('goes from word to word, and counts a whole round of them as one', () => {
    expect(paceAt(calls, -1)).toBeNull()
    expect(paceAt(calls, 0)).toMatchObject({ cycles: 0, index: 0, secondsLeft: 2.5, share: 0 })
    expect(paceAt(calls, 2.5)).toMatchObject({ index: 1, call: { say: 'Open' }, next: { say: 'Close' } })
    expect(paceAt(calls, 7.9)!.call.say).toBe('Let up')
    expect(paceAt(calls, 7.9)!.next.say).toBe('Press')
    expect(paceAt(calls, 8)).toMatchObject({ cycles: 1, index: 0 })
    expect(paceAt(calls, 8 * 12 + 5)).toMatchObject({ cycles: 12, call: { say: 'Close' } })
  })
  it('says the same at the same moment of every count, and its seconds add up', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 500 }), fc.double({ min: 0, max: 7.999, noNaN: true }), (cycle, within) => {
        const [first, later] = [paceAt(calls, within)!, paceAt(calls, cycle * cycleSeconds(calls) + within)!]
        // On the very border of two words rounding may fall either way.
        const border = Math.min(first.secondsLeft, first.share) < 1e-6
        if (!border) expect(later.call).toBe(first.call)
        const before = calls.slice(0, first.index).reduce((sum, call) => sum + call.seconds, 0)
        expect(before + calls[first.index]!.seconds - first.secondsLeft).toBeCloseTo(within, 6)
      }),
    )
  })
  it('wants words that last', () => {
    expect(() => paceAt([], 1)).toThrow('words that last')
  })
})
