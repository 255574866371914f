import 'fake-indexeddb/auto'
import { deleteDB, openDB } from 'idb'
import { describe, expect, it, vi } from 'vitest'
import type { JobEvent } from '../../core/job'
import { keepsNothing } from '../log/keep-here'
import { indexedKeep } from './indexed-keep'
import type { Keep } from './keep'
import { memoryKeep } from './memory-keep'
import { lastingWhereItCan } from './open-keep'

const act = (id: string, jobId = 'j', seq: number | null = null) =>
  ({
    id,
    jobId,
    seq,
    deviceId: 'd',
    deviceTime: '2026-03-02T08:00:00.000Z',
    personId: 'p',
    type: 'note-added',
    payload: { stepId: null, text: id },
  }) as JobEvent
const ids = (events: JobEvent[]) => events.map(({ id }) => id)
let count = 0
const kinds: [string, () => Promise<Keep>][] = [
  ['the browser’s database', () => indexedKeep(`eldrin-${++count}`)],
  ['memory', async () => memoryKeep()],
  ['memory where the database cannot', async () => lastingWhereItCan(await indexedKeep(`eldrin-${++count}`))],
]

describe.each(kinds)('%s', (_name, open) => {
  it('keeps what waits in the order it was done, job by job, and each act once', async () => {
    const keep = await open()
    for (const id of ['b', 'a', 'c']) await keep.add([act(id)])
    await keep.add([act('x', 'other')])
    expect(ids(await keep.waiting('j'))).toEqual(['b', 'a', 'c'])
    expect((await keep.jobsWaiting()).sort()).toEqual(['j', 'other'])
    expect(await keep.waiting('j')).toEqual(['b', 'a', 'c'].map(id => act(id)))
  })
  it('keeps what is recorded by number; what of it waited waits no more', async () => {
    const keep = await open()
    await keep.add([act('a')])
    await keep.add([act('b')])
    await keep.record('j', [act('a', 'j', 2), act('before', 'j', 1)])
    await keep.record('j', [act('a', 'j', 2)])
    expect(ids(await keep.events('j'))).toEqual(['before', 'a'])
    expect(ids(await keep.waiting('j'))).toEqual(['b'])
    expect(await keep.events('other')).toEqual([])
  })
  it('puts an act in the place of another', async () => {
    const keep = await open()
    for (const id of ['a', 'b', 'c']) await keep.add([act(id)])
    await keep.replace('b', act('note'))
    await keep.replace('gone', act('nobody'))
    expect(ids(await keep.waiting('j'))).toEqual(['a', 'note', 'c'])
  })
  it('forgets what is recorded, never what waits', async () => {
    const keep = await open()
    await keep.record('j', [act('a', 'j', 1)])
    await keep.add([act('b')])
    await keep.forget('j')
    expect([await keep.events('j'), ids(await keep.waiting('j'))]).toEqual([[], ['b']])
  })
  it('tells of which jobs anything is recorded', async () => {
    const keep = await open()
    for (const job of ['k', 'j', 'l']) await keep.record(job, [act(`a-${job}`, job, 1), act(`b-${job}`, job, 2)])
    await keep.forget('k')
    expect((await keep.jobsRecorded()).sort()).toEqual(['j', 'l'])
  })
  it('puts the server’s log in the place of its own and keeps apart what that has no more', async () => {
    const keep = await open()
    await keep.record(
      'j',
      ['a', 'b', 'c', 'd'].map((id, index) => act(id, 'j', index + 1)),
    )
    await keep.record('other', [act('x', 'other', 1)])
    await keep.add([act('w')])
    await keep.part(
      'j',
      [act('a', 'j', 1), act('new', 'j', 2)],
      ['b', 'c', 'd'].map((id, index) => act(id, 'j', index + 2)),
    )
    expect(ids(await keep.events('j'))).toEqual(['a', 'new'])
    expect(ids(await keep.beyond('j'))).toEqual(['b', 'c', 'd'])
    await keep.part('j', [act('a', 'j', 1), act('b', 'j', 2), act('w', 'j', 3)], [act('d', 'j', 4)])
    expect([ids(await keep.beyond('j')), await keep.waiting('j')]).toEqual([['d'], []])
    expect(ids(await keep.events('other'))).toEqual(['x'])
  })
  it('puts what was kept apart before all that waits', async () => {
    const keep = await open()
    await keep.part('j', [], [act('a', 'j', 1), act('b', 'j', 2)])
    for (const id of ['w', 'v']) await keep.add([act(id)])
    await keep.rejoin('j', [act('a'), act('b')])
    expect([ids(await keep.waiting('j')), await keep.beyond('j')]).toEqual([['a', 'b', 'w', 'v'], []])
  })
  it('keeps what the server alone can do, in the order it was wanted', async () => {
    const keep = await open()
    const errand = (id: string, at: string) => ({ id, jobId: 'j', what: id, path: '/api/x', body: {}, at })
    await keep.keepErrand(errand('a', '2026-03-02T08:00:00.000Z'))
    await keep.keepErrand(errand('b', '2026-03-02T09:00:00.000Z'))
    await keep.keepErrand({ ...errand('a', '2026-03-02T08:00:00.000Z'), refusal: 'No.' })
    expect((await keep.errands()).map(({ id, refusal }) => [id, refusal])).toEqual([
      ['a', 'No.'],
      ['b', undefined],
    ])
    await keep.dropErrand('a')
    expect((await keep.errands()).map(({ id }) => id)).toEqual(['b'])
  })
  it('keeps the server’s last answers', async () => {
    const keep = await open()
    expect(await keep.answer('/api/garage')).toBeNull()
    await keep.keepAnswer('/api/garage', { body: { name: 'x' }, at: '2026-03-02T08:00:00.000Z' })
    expect((await keep.answer('/api/garage'))!.body).toEqual({ name: 'x' })
    await keep.forgetAnswers()
    expect(await keep.answer('/api/garage')).toBeNull()
  })
})

it('is there again when it is opened anew', async () => {
  const first = await indexedKeep('again')
  await first.add([act('a')])
  first.close()
  expect(ids(await (await indexedKeep('again')).waiting('j'))).toEqual(['a'])
})
it('takes over what an Eldrin before it kept', async () => {
  const before = await openDB('before', 1, {
    upgrade(database) {
      database.createObjectStore('events', { keyPath: ['jobId', 'seq'] })
      const waiting = database.createObjectStore('waiting', { keyPath: 'order', autoIncrement: true })
      waiting.createIndex('job', 'jobId')
      waiting.createIndex('act', 'id', { unique: true })
      database.createObjectStore('answers')
    },
  })
  await before.add('events', act('a', 'j', 1))
  await before.add('waiting', act('w'))
  before.close()
  const keep = await indexedKeep('before')
  expect([ids(await keep.events('j')), ids(await keep.waiting('j')), await keep.errands()]).toEqual([['a'], ['w'], []])
})
describe('a database that the page has opened before its scripts were there', () => {
  const opened = (version?: number) => {
    const request = indexedDB.open('eldrin', version)
    request.onupgradeneeded = () => request.transaction!.abort()
    return Object.assign(globalThis, { eldrinStore: request }).eldrinStore
  }
  it('is gone on with where it is of today, opened long ago or just now', async () => {
    const first = await indexedKeep()
    await first.add([act('a')])
    first.close()
    opened()
    const early = await indexedKeep()
    expect(ids(await early.waiting('j'))).toEqual(['a'])
    early.close()
    const request = opened()
    await new Promise(resolve => request.addEventListener('success', resolve))
    const late = await indexedKeep()
    expect(ids(await late.waiting('j'))).toEqual(['a'])
    late.close()
    await deleteDB('eldrin')
  })
  it('is made where there was none', async () => {
    opened()
    const keep = await indexedKeep()
    await keep.add([act('b')])
    expect(ids(await keep.waiting('j'))).toEqual(['b'])
    keep.close()
    await deleteDB('eldrin')
  })
})

it('holds for now what the disk has no room for, and says so', async () => {
  const full = { ...(await indexedKeep('full')), add: () => Promise.reject(new DOMException('', 'QuotaExceededError')) }
  const keep = lastingWhereItCan(full)
  vi.spyOn(console, 'error').mockImplementation(() => {})
  await keep.add([act('a')])
  expect(ids(await keep.waiting('j'))).toEqual(['a'])
  expect(keepsNothing.value).toContain('full')
  await keep.record('j', [act('a', 'j', 1)])
  expect([ids(await keep.events('j')), await keep.waiting('j')]).toEqual([['a'], []])
})
