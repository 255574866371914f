import { expect, it } from 'vitest'
import { carWords, offWords } from './off-words'

const counts = { off: 0, open: 0, unplugged: 0, slack: 0, propped: 0 }

it('tells what is off, and what else is not as it should be', () => {
  expect(offWords({ ...counts, off: 12, slack: 3 })).toBe('12 off')
  expect(offWords({ ...counts, slack: 3, propped: 1 })).toBe('3 loose')
  expect(offWords(counts)).toBe('nothing off')
  expect(carWords({ ...counts, off: 1, unplugged: 2, propped: 1 })).toBe('1 piece off, 2 unplugged, 1 held')
  expect(carWords(counts)).toBe('The car is whole')
})
