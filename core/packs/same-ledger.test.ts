import { expect, it } from 'vitest'
import { sameLedger } from './same-ledger'

it('compares what is taken off and put back, in whatever order', () => {
  expect(sameLedger({ takesOff: { a: 1, b: 2 }, putsBack: {} }, { takesOff: { b: 2, a: 1 }, putsBack: {} })).toBe(true)
  expect(sameLedger({ takesOff: { a: 1 }, putsBack: {} }, { takesOff: { a: 2 }, putsBack: {} })).toBe(false)
  expect(sameLedger({ takesOff: { a: 1 }, putsBack: {} }, { takesOff: { a: 1, b: 1 }, putsBack: {} })).toBe(false)
  expect(sameLedger({ takesOff: {}, putsBack: { a: 1 } }, { takesOff: {}, putsBack: {} })).toBe(false)
})
