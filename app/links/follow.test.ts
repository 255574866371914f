import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { follow } from './follow'

class FakeSource {
  static opened: FakeSource[] = []
  onopen: (() => void) | null = null
  onmessage: ((event: { data: string }) => void) | null = null
  onerror: (() => void) | null = null
  closed = false
  readonly named = new Map<string, (event: { data: string }) => void>()
  constructor(readonly address: string) {
    FakeSource.opened.push(this)
  }

  addEventListener(name: string, heard: (event: { data: string }) => void) {
    this.named.set(name, heard)
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

/** Something that page, phone or browser tell of. */
class Teller extends EventTarget {
  visibilityState = 'visible'
  tell(name: string) {
    this.dispatchEvent(new Event(name))
  }
}
const followed = () => {
  const connected: boolean[] = []
  const stop = follow(
    () => '/stream',
    () => {},
    is => connected.push(is),
  )
  return { connected, stop }
}

it('holds a stream for dead that says nothing for longer than two of its beats, and comes back', () => {
  const { connected } = followed()
  FakeSource.opened[0]!.onopen!()
  for (let beat = 0; beat < 10; beat++) {
    vi.advanceTimersByTime(20_000)
    FakeSource.opened[0]!.named.get('still-here')!({ data: '' })
  }
  expect(FakeSource.opened).toHaveLength(1)
  vi.advanceTimersByTime(60_000)
  expect(FakeSource.opened).toHaveLength(2)
  expect([FakeSource.opened[0]!.closed, connected]).toEqual([true, [true, false]])
})
it('looks at once when the device wakes, and lets a stream alone that is well', () => {
  const page = new Teller()
  vi.stubGlobal('document', page)
  followed()
  FakeSource.opened[0]!.onopen!()
  page.tell('visibilitychange')
  vi.advanceTimersByTime(10)
  expect(FakeSource.opened).toHaveLength(1)
  // Nothing ran meanwhile.
  vi.setSystemTime(Date.now() + 8 * 3_600_000)
  page.visibilityState = 'hidden'
  page.tell('visibilitychange')
  expect(FakeSource.opened).toHaveLength(1)
  page.visibilityState = 'visible'
  page.tell('visibilitychange')
  vi.advanceTimersByTime(10)
  expect(FakeSource.opened).toHaveLength(2)
})
it('does not wait out its pause when the signal is back, and hears nothing more once it is ended', () => {
  const signal = new Teller()
  vi.stubGlobal('window', signal)
  const { stop } = followed()
  FakeSource.opened[0]!.onerror!()
  signal.tell('online')
  vi.advanceTimersByTime(10)
  expect(FakeSource.opened).toHaveLength(2)
  stop()
  signal.tell('online')
  vi.advanceTimersByTime(60_000)
  expect(FakeSource.opened).toHaveLength(2)
})
it('tells that the log goes another way, and comes back when that is dealt with', async () => {
  const parted = vi.fn(async () => {})
  follow(
    () => '/stream',
    () => {},
    () => {},
    parted,
  )
  FakeSource.opened[0]!.named.get('parted')!({ data: '' })
  expect(parted).toHaveBeenCalledOnce()
  await vi.advanceTimersByTimeAsync(2000)
  expect(FakeSource.opened).toHaveLength(2)
})
