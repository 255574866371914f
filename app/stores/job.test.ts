import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { admit, reduceJob } from '../../core/job'
import type { JobEvent } from '../../core/job'
import { TestLog } from '../../tests/support/job-log'
import { coverAndPart } from '../../tests/support/small-pack'
import { memoryKeep } from '../device/memory-keep'
import { useDeviceStore } from './device'
import { useErrandsStore } from './errands'
import { useJobStore } from './job'
import { useMessages } from './messages'

const disk = vi.hoisted(() => ({ keep: null as unknown }))
vi.mock('../device/open-keep', () => ({ thisKeep: async () => disk.keep, onTaken: () => {} }))

/** The server's side of a job: its log, and what it was sent. */
class Server {
  log = TestLog.open(coverAndPart()).events
  up = true
  readonly streams: {
    onopen: (() => void) | null
    onmessage: ((event: { data: string }) => void) | null
    onerror: (() => void) | null
    close: () => void
  }[] = []

  readonly asked = async (address: string) =>
    this.log.filter(event => event.seq! > Number(/after=(\d+)/.exec(address)?.[1] ?? 0))

  readonly posted = async (_address: string, { body }: { body: string }) => {
    if (!this.up) throw new TypeError('no answer')
    const { events } = JSON.parse(body) as { events: JobEvent[] }
    const index = events.findIndex(event => admit(reduceJob(this.log), { ...event, jobId: 'job' }, this.log))
    if (index >= 0)
      return Response.json(
        { data: { issues: [{ path: `events[${index}].payload`, reason: 'It is done already.' }] } },
        { status: 409 },
      )
    const taken = events.map(
      (event, index) => ({ ...event, jobId: 'job', seq: this.log.length + index + 1 }) as JobEvent,
    )
    this.log = [...this.log, ...taken]
    return Response.json({ accepted: taken.map(({ id, seq }) => ({ id, seq })) })
  }

  /** Somebody else's device did something. */
  tells(event: JobEvent): void {
    this.log = [...this.log, event]
    this.streams.at(-1)!.onmessage!({ data: JSON.stringify(event) })
  }
}

let server: Server
beforeEach(() => {
  server = new Server()
  disk.keep = memoryKeep()
  setActivePinia(createPinia())
  vi.useFakeTimers()
  vi.stubGlobal('$fetch', server.asked)
  vi.stubGlobal('fetch', server.posted)
  vi.stubGlobal('navigator', {})
  vi.stubGlobal('BroadcastChannel', undefined)
  vi.stubGlobal('localStorage', { getItem: () => null, setItem: () => {} })
  vi.stubGlobal(
    'EventSource',
    class {
      onopen = null
      onmessage = null
      onerror = null
      constructor() {
        server.streams.push(this)
      }
      addEventListener() {}
      close() {}
    },
  )
  vi.stubGlobal('useMessages', useMessages)
  vi.stubGlobal('useDeviceStore', useDeviceStore)
  vi.stubGlobal('useErrandsStore', useErrandsStore)
  vi.stubGlobal('useGarageStore', () => ({
    personId: '3b0c9a10-7f5e-4a10-8d2b-1c6f6a2e0002',
    sayHanded: () => Promise.resolve(true),
  }))
})
afterEach(() => {
  vi.unstubAllGlobals()
  vi.useRealTimers()
})

/** Until what was done is kept on the device. */
const kept = () => vi.advanceTimersByTimeAsync(1)

describe('the open job', () => {
  it('counts an act as soon as it is kept, and only once when the server has numbered it and the stream tells of it', async () => {
    const store = useJobStore()
    await store.open('job')
    const [first] = store.state.plan!.order
    server.up = false
    expect(store.write('step-done', { stepId: first! })).toBe(true)
    // Not yet on the disk it does not count yet; a second tap is judged by it all the same.
    expect(store.state.done).toEqual({})
    expect(store.write('step-done', { stepId: first! })).toBe(false)
    await kept()
    expect(Object.keys(store.state.done)).toEqual([first])
    expect(store.pending).toHaveLength(1)
    server.up = true
    await vi.advanceTimersByTimeAsync(1000)
    expect(store.pending).toHaveLength(0)
    server.streams[0]!.onmessage!({ data: JSON.stringify(server.log.at(-1)) })
    await kept()
    expect(store.log.filter(event => event.type === 'step-done')).toHaveLength(1)
    expect(store.state.lastSeq).toBe(server.log.length)
  })
  it('keeps what nobody answered for, says so, and sends it when the server is back', async () => {
    const store = useJobStore()
    await store.open('job')
    server.up = false
    store.write('note-added', { stepId: null, text: 'Rusty' })
    await vi.advanceTimersByTimeAsync(2000)
    expect([store.pending.length, store.standing]).toEqual([1, 'offline'])
    server.up = true
    await vi.advanceTimersByTimeAsync(20_000)
    expect([store.pending.length, store.standing]).toEqual([0, 'sent'])
    expect(server.log.at(-1)).toMatchObject({ type: 'note-added' })
  })
  it('shows why an act may not be, and writes nothing', async () => {
    const store = useJobStore()
    await store.open('job')
    const last = store.state.plan!.order.at(-1)!
    expect(store.write('step-done', { stepId: last })).toBe(false)
    expect(useMessages().messages.at(-1)).toMatchObject({ kind: 'refused' })
    expect(store.pending).toHaveLength(0)
  })
  it('follows what others do, in the order of the log', async () => {
    const store = useJobStore()
    await store.open('job')
    const log = new TestLog()
    log.events.push(...server.log)
    server.tells(log.event('note-added', { stepId: null, text: 'From the other phone' }))
    await kept()
    expect(store.log.at(-1)).toMatchObject({ payload: { text: 'From the other phone' } })
  })
  it('takes the last act back and says which it was; with nothing to take back it says that', async () => {
    const store = useJobStore()
    await store.open('job')
    store.undo()
    expect(useMessages().messages.at(-1)!.text).toBe('There is nothing to undo.')
    store.write('note-added', { stepId: null, text: 'Rusty' })
    await kept()
    store.undo()
    await kept()
    expect(useMessages().messages.at(-1)!.text).toMatch(/^Undone: /)
    expect(store.state.notes ?? []).toHaveLength(0)
  })
  it('sets aside what the server refuses, with its sentence, and goes on with what was done after it', async () => {
    const store = useJobStore()
    await store.open('job')
    const [first] = store.state.plan!.order
    const log = new TestLog()
    log.events.push(...server.log)
    server.up = false
    store.write('step-done', { stepId: first! })
    await kept()
    store.write('note-added', { stepId: null, text: 'After it' })
    await kept()
    // Somebody else was there before; this device has not heard of it.
    server.log = [...server.log, log.event('step-done', { stepId: first! })]
    server.up = true
    await vi.advanceTimersByTimeAsync(20_000)
    expect(store.pending).toHaveLength(0)
    expect(server.log.slice(-2).map(event => event.type)).toEqual(['act-set-aside', 'note-added'])
    expect(store.state.aside).toMatchObject([{ act: { type: 'step-done' }, ended: { how: 'settled' } }])
    expect(Object.keys(store.state.done)).toEqual([first])
  })
})
