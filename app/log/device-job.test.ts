import { describe, expect, it } from 'vitest'
import { reactive } from 'vue'
import { reduceJob } from '../../core/job'
import type { EventPayloads, JobEvent } from '../../core/job'
import { TestLog } from '../../tests/support/job-log'
import { operation, smallPack } from '../../tests/support/small-pack'
import type { Keep } from '../device/keep'
import { memoryKeep } from '../device/memory-keep'
import { DeviceJob } from './device-job'
import { saidBy } from './waiting-act'

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
  return { ...(await jobOn(slow)), pieces, disk, write: () => write() }
}

/** A job of two steps on a disk. */
async function jobOn(disk: Keep) {
  let id = 0
  const job = new DeviceJob('job', disk, () => ({
    personId: 'p',
    deviceId: 'd',
    now: () => '2026-03-02T09:00:00.000Z',
    role: 'owner' as const,
    newId: () => `act-${++id}`,
  }))
  const log = TestLog.open(smallPack({ operations: [operation('first', {}), operation('second', {})] }))
  await job.record(log.events)
  return { job, log }
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

it('keeps what is done while the disk is busy in one piece after it', async () => {
  const { job, pieces, write } = await onSlowDisk()
  const first = job.act('step-done', { stepId: 'first' })
  await new Promise(resolve => setTimeout(resolve))
  const others = [job.act('step-done', { stepId: 'second' })]
  await new Promise(resolve => setTimeout(resolve))
  others.push(job.act('note-added', { stepId: null, text: 'x' }))
  expect(pieces).toEqual([['step-done']])
  write()
  await first
  await new Promise(resolve => setTimeout(resolve))
  write()
  await Promise.all(others)
  expect(pieces).toEqual([['step-done'], ['step-done', 'note-added']])
  expect(job.waiting).toHaveLength(3)
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
    role: 'owner' as const,
    newId: () => 'act',
  }))
  await failing.record([...job.recorded])
  await expect(failing.act('step-done', { stepId: 'first' })).rejects.toThrow('full')
  expect([failing.onTheWay, failing.waiting, Object.keys(reduceJob(failing.ahead).done)]).toEqual([[], [], []])
})

describe('a server whose records were set back', () => {
  /** A job of three events beyond its opening, all of them recorded. */
  async function recorded() {
    const log = TestLog.open(smallPack({ operations: [operation('first', {}), operation('second', {})] }))
    const opening = log.events.length
    log.add('step-done', { stepId: 'first' })
    log.add('note-added', { stepId: null, text: 'rusty' })
    log.add('step-done', { stepId: 'second' })
    const disk = memoryKeep()
    const job = new DeviceJob('job', disk, () => ({
      personId: 'p',
      deviceId: 'd',
      now: () => '2026-03-02T09:00:00.000Z',
      clockOffMs: 7_200_000,
      role: 'owner' as const,
      newId: () => 'act',
    }))
    await job.record(log.events)
    return { job, log: log.events, opening }
  }
  const ids = (events: readonly JobEvent[]) => events.map(({ id }) => id)

  it('is taken at its word; what it has no more is kept apart, and does not count', async () => {
    const { job, log, opening } = await recorded()
    await job.part(log.slice(0, opening + 1))
    expect(ids(job.beyond)).toEqual(ids(log.slice(opening + 1)))
    expect(Object.keys(reduceJob(job.log).done)).toEqual(['first'])
    expect([job.followsOn, job.isMissing]).toEqual([true, false])
    // Somebody else gives it back.
    await job.part(log)
    expect([job.beyond, Object.keys(reduceJob(job.log).done)]).toEqual([[], ['first', 'second']])
  })
  it('gets back, act by act, what does not follow on it any more, before all that waits, in the server’s time', async () => {
    const { job, log, opening } = await recorded()
    const elsewhere = { ...log[opening + 1]!, id: 'elsewhere', deviceTime: '2026-03-02T08:30:00.000Z' }
    await job.part([...log.slice(0, opening + 1), elsewhere])
    expect(job.followsOn).toBe(false)
    await job.act('note-added', { stepId: null, text: 'since then' })
    await job.rejoin()
    expect(ids(job.waiting)).toEqual([...ids(log.slice(opening + 1)), 'act'])
    const [first] = job.waiting
    expect([first!.seq, first!.deviceTime]).toEqual([null, log[opening + 1]!.deviceTime])
    expect(Date.parse(first!.deviceTime) - Date.parse(saidBy(first!))).toBe(7_200_000)
    expect([job.beyond, Object.keys(reduceJob(job.log).done)]).toEqual([[], ['first', 'second']])
  })
  it('may also be left as it is', async () => {
    const { job, log, opening } = await recorded()
    await job.part(log.slice(0, opening))
    await job.letGo()
    await job.read()
    expect([job.beyond, job.waiting, Object.keys(reduceJob(job.log).done)]).toEqual([[], [], []])
  })
  it('that knows nothing of the job takes nothing from the device', async () => {
    const { job, log } = await recorded()
    await job.part([])
    expect([job.isMissing, job.beyond, ids(job.recorded)]).toEqual([true, [], ids(log)])
    await job.record(log)
    expect(job.isMissing).toBe(false)
  })
})

it('puts on the disk again what was cleared away from it', async () => {
  const { job, disk, write } = await onSlowDisk()
  const done = job.act('step-done', { stepId: 'first' })
  await Promise.resolve()
  write()
  await done
  const waited = job.waiting.map(({ id }) => id)
  await disk.forget('job')
  await disk.drop(waited)
  const again = job.keepAgain()
  await new Promise(resolve => setTimeout(resolve))
  write()
  await again
  expect((await disk.waiting('job')).map(({ id }) => id)).toEqual(waited)
  expect(await disk.events('job')).toHaveLength(job.recorded.length)
})

it('reads nothing of a store that was cleared away until what this page holds is there again', async () => {
  const { job, disk, write } = await onSlowDisk()
  const done = job.act('step-done', { stepId: 'first' })
  await Promise.resolve()
  write()
  await done
  const waited = job.waiting.map(({ id }) => id)
  // One reading is under way as the store goes, another begins while it is filled again.
  const early = job.read()
  await disk.forget('job')
  await disk.drop(waited)
  const again = job.keepAgain()
  const late = job.read()
  await new Promise(resolve => setTimeout(resolve))
  expect(job.waiting.map(({ id }) => id)).toEqual(waited)
  write()
  await Promise.all([again, early, late])
  expect(job.waiting.map(({ id }) => id)).toEqual(waited)
  expect(reduceJob(job.log).done.first).toBeDefined()
})

it('holds an act once that was read from the disk before its writing was told', async () => {
  const disk = memoryKeep()
  let told = () => {}
  const late = {
    ...disk,
    async add(acts: JobEvent[]) {
      await disk.add(acts)
      await new Promise<void>(resolve => {
        told = resolve
      })
    },
  }
  const { job } = await jobOn(late)
  const done = job.act('step-done', { stepId: 'first' })
  await new Promise(resolve => setTimeout(resolve))
  await job.read()
  told()
  await done
  expect([job.waiting.length, job.log.filter(({ type }) => type === 'step-done').length]).toEqual([1, 1])
})

it('does not lose sight of what was recorded while it read the disk', async () => {
  const disk = memoryKeep()
  let meanwhile: (() => Promise<unknown>) | null = null
  const slow = {
    ...disk,
    async events(jobId: string) {
      const found = await disk.events(jobId)
      const act = meanwhile
      meanwhile = null
      await act?.()
      return found
    },
  }
  const { job, log } = await jobOn(slow)
  const before = job.recorded.length
  log.add('step-done', { stepId: 'first' })
  meanwhile = () => job.record(log.events)
  await job.read()
  expect(job.recorded).toHaveLength(before + 1)
})

it('says whether what it read was new', async () => {
  const disk = memoryKeep()
  const { job, log } = await jobOn(disk)
  const { log: before } = job
  expect([await job.read(), job.log === before]).toEqual([false, true])
  log.add('step-done', { stepId: 'first' })
  await disk.record('job', log.events)
  expect([await job.read(), job.log.length]).toEqual([true, before.length + 1])
})

it('keeps what is asked by now, where a refusal of what was asked before comes late', async () => {
  const disk = memoryKeep()
  const job = new DeviceJob('job', disk, () => ({
    personId: 'p',
    deviceId: 'd',
    now: () => '2026-03-02T09:00:00.000Z',
    role: 'owner' as const,
    newId: () => 'act-1',
  }))
  const asked = { id: 'job', opens: true as const, posts: [{ path: '/api/jobs', body: { odometerKm: 80_000 } }] }
  const { payload } = TestLog.open(smallPack({ operations: [operation('first', {})] })).events[0]!
  await job.act('job-opened', payload as EventPayloads['job-opened'], { by: asked })
  const sent = job.waiting[0]!
  const without = { ...asked, posts: [{ path: '/api/jobs', body: { odometerKm: null } }] }
  await job.askElse(without)
  expect(await job.setAside(sent, 'It cannot stand at that.')).toBe(true)
  expect([job.waiting[0]!.by, (await disk.waiting('job'))[0]!.by]).toEqual([without, without])
  await job.setAside(job.waiting[0]!, 'Nor at this.')
  expect((await disk.waiting('job'))[0]!.by).toEqual({ ...without, refusal: 'Nor at this.' })
})
