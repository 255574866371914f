import { expect, it } from 'vitest'
import { byId } from './by-id'

it('finds what a list has under an id, the first of several, and nothing else', () => {
  const list = [
    { id: 'a', of: 1 },
    { id: '__proto__', of: 2 },
    { id: 'a', of: 3 },
  ]
  expect([byId(list, 'a')?.of, byId(list, '__proto__')?.of, byId(list, 'constructor')]).toEqual([1, 2, undefined])
})
it('looks into each list by itself', () => {
  const [one, other] = [[{ id: 'a', of: 1 }], [{ id: 'a', of: 2 }]]
  expect([byId(one, 'a')?.of, byId(other, 'a')?.of, byId([], 'a')]).toEqual([1, 2, undefined])
})
