import { expect, it } from 'vitest'
import { reactive } from 'vue'
import { reduceJob } from '../../core/job'
import type { JobEvent } from '../../core/job'
import { TestLog } from '../../tests/support/job-log'
import { operation, smallPack } from '../../tests/support/small-pack'
import { memoryKeep } from '../device/memory-keep'
import { DeviceJob } from './device-job'

/** A job of two steps on a disk that writes when it is told to, and what was written to it. */
async function onSlowDisk() {
  const disk = memoryKeep()
  const pieces: string[][] = []
  let write = () => {}
  const slow = {
    ...disk,
    async add(acts: JobEvent[]) {
      pieces.push(acts.map(({ type }) => type))
      await new Promise<void>(resolve => {
        write = resolve
      })
      await disk.add(acts)
    },
  }
  let id = 0
  const job = new DeviceJob('job', slow, () => ({
    personId: 'p',
    deviceId: 'd',
    now: () => '2026-03-02T09:00:00.000Z',
    newId: () => `act-${++id}`,
  }))
  const { events } = TestLog.open(smallPack({ operations: [operation('first', {}), operation('second', {})] }))
  await job.record(events)
  return { job, pieces, disk, write: () => write() }
}

it('judges by what is on its way to the disk, and shows it when it is there', async () => {
  const { job, disk, write } = await onSlowDisk()
  const done = job.act('step-done', { stepId: 'first' })
  expect(reduceJob(job.ahead).done.first).toBeDefined()
  expect(reduceJob(job.log).done.first).toBeUndefined()
  expect(job.act('step-done', { stepId: 'first' })).toMatch(/done/)
  await Promise.resolve()
  write()
  await done
  expect(reduceJob(job.log).done.first).toBeDefined()
  expect(await disk.waiting('job')).toHaveLength(1)
  expect(job.onTheWay).toEqual([])
})

it('keeps what is done in one turn in one piece', async () => {
  const { job, pieces, write } = await onSlowDisk()
  const both = [job.act('step-done', { stepId: 'first' }), job.act('step-done', { stepId: 'second' })]
  await Promise.resolve()
  write()
  await Promise.all(both)
  expect(pieces).toEqual([['step-done', 'step-done']])
  expect(Object.keys(reduceJob(job.log).done)).toEqual(['first', 'second'])
})

it('keeps what a page has made from watched things as plain as it is sent', async () => {
  const { job, disk, write } = await onSlowDisk()
  const done = job.act('note-added', reactive({ stepId: null, text: 'seen', more: undefined }))
  await Promise.resolve()
  write()
  await done
  const [act] = await disk.waiting('job')
  expect(structuredClone(act)).toEqual(act)
  expect(Object.keys(act!.payload)).toEqual(['stepId', 'text'])
})

it('has an event once, though the stream and the answer to its posting tell of it at the same time', async () => {
  const { job, write } = await onSlowDisk()
  const done = job.act('step-done', { stepId: 'first' })
  await Promise.resolve()
  write()
  const act = (await done) as JobEvent
  const numbered = { ...act, seq: job.recorded.length + 1 }
  await Promise.all([job.record([numbered]), job.record([numbered])])
  expect(job.log.filter(({ id }) => id === act.id)).toHaveLength(1)
  expect(typeof job.act('undone', { eventId: act.id })).toBe('object')
})

it('does not count what the disk did not take', async () => {
  const { job } = await onSlowDisk()
  const failing = new DeviceJob('job', { ...memoryKeep(), add: () => Promise.reject(new Error('full')) }, () => ({
    personId: 'p',
    deviceId: 'd',
    now: () => '2026-03-02T09:00:00.000Z',
    newId: () => 'act',
  }))
  await failing.record([...job.recorded])
  await expect(failing.act('step-done', { stepId: 'first' })).rejects.toThrow('full')
  expect([failing.onTheWay, failing.waiting, Object.keys(reduceJob(failing.ahead).done)]).toEqual([[], [], []])
})
