import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { follow } from './follow'

class FakeSource {
  static opened: FakeSource[] = []
  onopen: (() => void) | null = null
  onmessage: ((event: { data: string }) => void) | null = null
  onerror: (() => void) | null = null
  closed = false
  constructor(readonly address: string) {
    FakeSource.opened.push(this)
  }

  close() {
    this.closed = true
  }
}

beforeEach(() => {
  FakeSource.opened = []
  vi.stubGlobal('EventSource', FakeSource)
  vi.useFakeTimers()
})
afterEach(() => {
  vi.unstubAllGlobals()
  vi.useRealTimers()
})

it('passes messages on and says when it is connected', () => {
  const heard: string[] = []
  const connected: boolean[] = []
  follow(
    () => '/stream',
    data => heard.push(data),
    is => connected.push(is),
  )
  FakeSource.opened[0]!.onopen!()
  FakeSource.opened[0]!.onmessage!({ data: 'one' })
  expect(heard).toEqual(['one'])
  expect(connected).toEqual([true])
})
it('comes back after a break, from where it was', () => {
  let last = 3
  const connected: boolean[] = []
  follow(
    () => `/stream?after=${last}`,
    () => {},
    is => connected.push(is),
  )
  last = 8
  FakeSource.opened[0]!.onerror!()
  expect(FakeSource.opened[0]!.closed).toBe(true)
  expect(connected).toEqual([false])
  vi.advanceTimersByTime(2000)
  expect(FakeSource.opened.map(({ address }) => address)).toEqual(['/stream?after=3', '/stream?after=8'])
})
it('stays away once it is ended', () => {
  const stop = follow(
    () => '/stream',
    () => {},
    () => {},
  )
  FakeSource.opened[0]!.onerror!()
  stop()
  vi.advanceTimersByTime(10_000)
  expect(FakeSource.opened).toHaveLength(1)
})
