import { expect, it, vi } from 'vitest'
import type { JobEvent } from '../../core/job'
import { keptOf, readAhead, takeAhead } from './kept-job'
import { memoryKeep } from './memory-keep'

const disk = vi.hoisted(() => ({ keep: null as unknown }))
vi.mock('./open-keep', () => ({ thisKeep: async () => disk.keep }))
const event = (id: string, seq: number | null) =>
  ({ id, jobId: 'j', seq, type: 'note-added', payload: { stepId: null, text: id } }) as JobEvent

it('reads all of a job, ahead for who asks first, and for no other', async () => {
  const keep = memoryKeep()
  disk.keep = keep
  await keep.record('j', [event('a', 1)])
  await keep.add([event('w', null)])
  const all = { recorded: [event('a', 1)], waiting: [event('w', null)], beyond: [] }
  expect(await keptOf(keep, 'j')).toEqual(all)
  readAhead('j')
  expect(await takeAhead('j')).toEqual(all)
  expect(takeAhead('j')).toBeNull()
  readAhead('j')
  expect(takeAhead('other')).toBeNull()
})
