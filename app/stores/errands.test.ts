import { FetchError } from 'ofetch'
import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import type { Keep } from '../device/keep'
import { memoryKeep } from '../device/memory-keep'
import { useErrandsStore } from './errands'

const disk = vi.hoisted(() => ({ keep: null as unknown, taken: async () => {} }))
vi.mock('../device/open-keep', () => ({
  thisKeep: async () => disk.keep,
  onTaken: (again: () => Promise<void>) => {
    disk.taken = again
  },
}))

const wanted = { id: 'o', jobId: 'j', what: 'Order 1 × clutch kit', path: '/api/jobs/j/orders', body: { id: 'o' } }
/** What the server answers next; nobody answers where it is left out. */
let answer: (() => unknown) | undefined
const asked: string[] = []
const said: string[] = []
const device = {
  waiting: [] as unknown[],
  /** Calls back that all of a job has come through. */
  tellSent: (_jobId: string) => {},
  /** Whether acts that wait come through when they are sent. */
  isReached: false,
  sendNow: async () => {
    if (device.isReached) device.waiting = []
    return device.waiting.length === 0
  },
  isSender: () => true,
  tell: () => {},
  onTold: () => {},
  onSent: (hear: (jobId: string) => void) => {
    device.tellSent = hear
  },
  hold: async () => ({ waiting: device.waiting }),
  refresh: async () => {},
}
const refuses = (statusCode: number, reason: string) => () => {
  const error = new FetchError(reason)
  Object.assign(error, { statusCode, data: { data: { issues: [{ path: 'partId', reason }] } } })
  throw error
}

beforeEach(() => {
  disk.keep = memoryKeep()
  answer = undefined
  asked.length = said.length = 0
  device.waiting = []
  device.isReached = false
  setActivePinia(createPinia())
  vi.useFakeTimers()
  vi.stubGlobal('useDeviceStore', () => device)
  vi.stubGlobal('useMessages', () => ({ say: (text: string) => said.push(text) }))
  vi.stubGlobal('$fetch', async (path: string) => {
    asked.push(path)
    if (!answer) throw new FetchError('no answer')
    return answer()
  })
})
afterEach(() => {
  vi.unstubAllGlobals()
  vi.useRealTimers()
})
const whats = (store: ReturnType<typeof useErrandsStore>) => store.ofJob('j').map(({ what }) => what)

it('is done at once where there is signal', async () => {
  answer = () => ({ accepted: [] })
  const store = useErrandsStore()
  expect(await store.ask(wanted)).toEqual({ accepted: [] })
  expect(whats(store)).toEqual([])
})
it('waits on the device where there is none, and is done by itself when there is', async () => {
  const store = useErrandsStore()
  expect(await store.ask(wanted)).toBeNull()
  expect([whats(store), said.length]).toEqual([[wanted.what], 1])
  answer = () => ({})
  await vi.advanceTimersByTimeAsync(31_000)
  expect([whats(store), said.at(-1)]).toEqual([[], `Done: ${wanted.what}`])
  expect(asked).toHaveLength(2)
})
it('is there again after a reload', async () => {
  await useErrandsStore().ask(wanted)
  setActivePinia(createPinia())
  const again = useErrandsStore()
  await vi.advanceTimersByTimeAsync(1)
  expect(whats(again)).toEqual([wanted.what])
})
it('is put back into a store that the browser has cleared away', async () => {
  const store = useErrandsStore()
  await store.ask(wanted)
  disk.keep = memoryKeep()
  await disk.taken()
  expect((await (disk.keep as Keep).errands()).map(({ id }) => id)).toEqual(['o'])
})
it('comes after the acts of its job', async () => {
  const store = useErrandsStore()
  await store.ask(wanted)
  answer = () => ({})
  device.waiting = [{}]
  await store.run()
  expect(whats(store)).toHaveLength(1)
  device.waiting = []
  await store.run()
  expect(whats(store)).toHaveLength(0)
})
it('keeps what the server refuses with its reason, asks again only when told to, and can be let go', async () => {
  const store = useErrandsStore()
  await store.ask(wanted)
  answer = refuses(409, 'It is on order already.')
  await store.run()
  await vi.advanceTimersByTimeAsync(120_000)
  expect(store.ofJob('j').map(({ refusal }) => refusal)).toEqual(['It is on order already.'])
  expect(asked).toHaveLength(2)
  await store.askAgain(store.ofJob('j')[0]!)
  expect(asked).toHaveLength(3)
  await store.letGo(store.ofJob('j')[0]!)
  expect(whats(store)).toEqual([])
})
it('tells at once what the server refuses at once', async () => {
  const store = useErrandsStore()
  answer = refuses(409, 'It is on order already.')
  await expect(store.ask(wanted)).rejects.toThrow('on order')
  answer = refuses(503, 'The supplier does not answer.')
  await expect(store.ask(wanted)).rejects.toThrow('supplier')
  expect(whats(store)).toEqual([])
})
it('is not taken for done by a page of somebody in between, and waits behind what waits of its job', async () => {
  const store = useErrandsStore()
  answer = () => '<html>Sign in to the network of this place</html>'
  expect(await store.ask(wanted)).toBeNull()
  await store.run()
  expect(whats(store)).toEqual([wanted.what])
  answer = () => ({})
  device.waiting = [{}]
  expect(await store.ask({ ...wanted, id: 'p', what: 'Make the link' })).toBeNull()
  expect(asked).toHaveLength(2)
  expect(whats(store)).toEqual([wanted.what, 'Make the link'])
})
it('sends the acts of its job first, and is done behind them where they come through', async () => {
  const store = useErrandsStore()
  answer = () => ({ token: 't' })
  device.waiting = [{}]
  device.isReached = true
  expect(await store.ask(wanted)).toEqual({ token: 't' })
  expect(whats(store)).toEqual([])
})
it('is done as soon as the acts before it have come through', async () => {
  const store = useErrandsStore()
  answer = () => ({})
  device.waiting = [{}]
  expect(await store.ask(wanted)).toBeNull()
  await vi.advanceTimersByTimeAsync(10)
  expect([asked.length, whats(store)]).toEqual([0, [wanted.what]])
  device.waiting = []
  device.tellSent('j')
  await vi.advanceTimersByTimeAsync(10)
  expect([asked.length, whats(store)]).toEqual([1, []])
})
