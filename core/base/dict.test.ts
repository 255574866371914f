import { expect, it } from 'vitest'
import { dict, dictOf } from './dict'

it('holds any text as a key and nothing that nobody put in', () => {
  const map = dict<number>()
  map['__proto__'] = 1
  map['constructor'] = 2
  expect(Object.keys(map)).toEqual(['__proto__', 'constructor'])
  expect(map['toString']).toBeUndefined()
  expect(({} as Record<string, unknown>)['polluted']).toBeUndefined()
  expect(dictOf({ a: 1 })['toString']).toBeUndefined()
  expect(dictOf({ a: 1 })).toEqual({ a: 1 })
})
