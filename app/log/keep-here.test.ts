import { afterEach, expect, it, vi } from 'vitest'
import { keepHere, keepsNothing, readHere } from './keep-here'

afterEach(() => {
  vi.unstubAllGlobals()
  keepsNothing.value = ''
})

it('keeps and gives back', () => {
  const kept = new Map<string, string>()
  vi.stubGlobal('localStorage', {
    getItem: (name: string) => kept.get(name) ?? null,
    setItem: (name: string, value: string) => kept.set(name, value),
    removeItem: (name: string) => kept.delete(name),
  })
  keepHere('a', '1')
  expect([readHere('a'), readHere('b'), keepsNothing.value]).toEqual(['1', null, ''])
  keepHere('a', null)
  expect(readHere('a')).toBeNull()
})
it('where the store is full, holds it while the page is open and says so', () => {
  vi.stubGlobal('localStorage', {
    getItem: () => null,
    setItem: () => {
      throw new DOMException('', 'QuotaExceededError')
    },
  })
  keepHere('full', '1')
  expect(readHere('full')).toBe('1')
  expect(keepsNothing.value).toContain('full')
})
it('where the browser forbids it, says that', () => {
  vi.stubGlobal('localStorage', {
    getItem: () => {
      throw new DOMException('', 'SecurityError')
    },
    setItem: () => {
      throw new DOMException('', 'SecurityError')
    },
  })
  expect(readHere('forbidden')).toBeNull()
  expect(keepsNothing.value).toContain('forbids')
})
