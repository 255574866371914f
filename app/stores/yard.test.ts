import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { memoryKeep } from '../device/memory-keep'
import { useYardStore } from './yard'

const disk = vi.hoisted(() => ({ keep: null as unknown }))
vi.mock('../device/open-keep', () => ({ thisKeep: async () => disk.keep, onTaken: () => {} }))

/** What the server was asked, each to be answered by hand. */
let asked: ((lines: { jobId: string }[]) => void)[]
beforeEach(() => {
  disk.keep = memoryKeep()
  asked = []
  setActivePinia(createPinia())
  vi.stubGlobal('useDeviceStore', () => ({ knownHere: async () => [] }))
  vi.stubGlobal('useErrandsStore', () => ({ run: async () => {} }))
  vi.stubGlobal('$fetch', () => new Promise(resolve => asked.push(resolve)))
})
afterEach(() => {
  vi.unstubAllGlobals()
})

it('asks once more when something happened while it was asking, so that the last answer is of after it', async () => {
  const yard = useYardStore()
  const first = yard.load()
  await vi.waitFor(() => expect(asked).toHaveLength(1))
  void yard.load()
  void yard.load()
  expect(asked).toHaveLength(1)
  asked[0]!([{ jobId: 'before' }])
  await vi.waitFor(() => expect(asked).toHaveLength(2))
  asked[1]!([{ jobId: 'after' }])
  await first
  expect(yard.jobs!.map(({ jobId }) => jobId)).toEqual(['after'])
  expect(asked).toHaveLength(2)
})
