import { expect, it } from 'vitest'
import { unstorable } from './storable'

it('finds what the records cannot hold, wherever it stands', () => {
  expect(unstorable({ a: ['fine', { b: 'Long bolt: “rear” ✓ 🔧' }], n: 1, nothing: null })).toBeNull()
  expect(unstorable({ a: ['fine', { b: 'zero \0 sign' }] })).toEqual({
    path: 'a[1].b',
    reason: 'A zero sign cannot be kept.',
  })
  expect(unstorable({ a: '\ud83d' })?.path).toBe('a')
  expect(unstorable({ list: [{ '\0': 1 }] })?.path).toBe('list[0]')
  expect(unstorable('\udc00')?.path).toBe('')
})

it('walks any depth', () => {
  let deep: unknown = 'x\0'
  for (let level = 0; level < 50_000; level++) deep = [deep]
  expect(unstorable(deep)?.reason).toContain('zero')
})
