import { afterEach, expect, it } from 'vitest'
import { numberSetting } from './setting'

const NAME = 'ELDRIN_FOR_A_TEST'
afterEach(() => {
  delete process.env[NAME]
})
it.each([undefined, '', ' '])('goes by what is usual where %j is set', said => {
  if (said !== undefined) process.env[NAME] = said
  expect(numberSetting(NAME, 5)).toBe(5)
})
it.each([
  ['12', 12],
  ['0.5', 0.5],
  [' 3 ', 3],
])('reads %j', (said, value) => {
  process.env[NAME] = said
  expect(numberSetting(NAME, 5)).toBe(value)
})
it.each(['abc', '-1', 'Infinity', '2s'])('does not go on with %j, and says why', said => {
  process.env[NAME] = said
  expect(() => numberSetting(NAME, 5)).toThrow(`${NAME} is “${said}”: it wants a number of at least 0.`)
})
it('knows what is too little to make sense', () => {
  process.env[NAME] = '0'
  expect(() => numberSetting(NAME, 5, 1)).toThrow('a number of at least 1')
})
