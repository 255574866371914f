import { expect, it } from 'vitest'
import { itemStates } from '../../core/pack/kinds'
import { foundTitles } from './found-things'

it('calls the way out and the way back by what becomes of the thing', () => {
  expect(foundTitles('bracket', 'off')).toEqual({ away: 'Take the bracket off', back: 'Put the bracket back' })
  expect(foundTitles('connector', 'unplugged').back).toBe('Plug the connector in')
  for (const state of itemStates) expect(Object.values(foundTitles('thing', state)).join()).not.toContain('undefined')
})
