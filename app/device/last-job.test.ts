import { beforeEach, expect, it, vi } from 'vitest'
import { countAsOpened, forgetOpened, keepOpened, lastJob, openedAt } from './last-job'

beforeEach(() => {
  const kept = new Map<string, string>()
  vi.stubGlobal('localStorage', {
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, value: string) => void kept.set(key, value),
    removeItem: (key: string) => void kept.delete(key),
  })
  return () => vi.unstubAllGlobals()
})

it('remembers which job was open last, and when each was', () => {
  keepOpened('a', 1000)
  keepOpened('b', 2000)
  expect([lastJob(), openedAt()]).toEqual(['b', { a: 1000, b: 2000 }])
  forgetOpened(['b'])
  expect(openedAt()).toEqual({ a: 1000 })
})
it('counts a job that was never opened here from when it was first seen', () => {
  keepOpened('a', 1000)
  countAsOpened(['a', 'new'], 5000)
  countAsOpened(['a', 'new'], 9000)
  expect([openedAt(), lastJob()]).toEqual([{ a: 1000, new: 5000 }, 'a'])
})
