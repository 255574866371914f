import { describe, expect, it } from 'vitest'
import type { JobEvent } from '../../core/job'
import type { PostResult } from './post-events'
import type { Asked, WaitingAct } from './waiting-act'
import { Sender } from './sender'
import type { Standing } from './sender'

const act = (id: string, type = 'note-added') =>
  ({
    id,
    jobId: 'j',
    seq: null,
    deviceId: 'd',
    deviceTime: '2026-03-02T08:00:00.000Z',
    personId: 'p',
    type,
    payload: { stepId: null, text: id },
  }) as JobEvent

/** A device with acts that wait, and a server that answers as it is told, then well. */
function deviceWith(ids: string[], answers: ((acts: WaitingAct[]) => PostResult)[] = [], isWell = true) {
  let waiting: WaitingAct[] = ids.map(id => act(id))
  let seq = 0
  const posted: string[][] = []
  const taken: JobEvent[] = []
  const aside: string[] = []
  const stood: Standing[] = []
  const pauses: number[] = []
  let lost = 0
  const asks = (ids: string[], by: Asked) => {
    waiting = waiting.map(each => (ids.includes(each.id) ? { ...each, by } : each))
  }
  const sender = new Sender({
    waiting: async () => waiting,
    post: async acts => {
      posted.push(acts.map(({ id }) => id))
      return (answers.shift() ?? (all => ({ kind: 'accepted', accepted: all.map(({ id }) => ({ id, seq: ++seq })) })))(
        acts,
      )
    },
    through: async acts => {
      if (lost-- > 0) return false
      waiting = waiting.filter(each => !acts.includes(each))
      return true
    },
    taken: async events => {
      taken.push(...events)
      waiting = waiting.filter(({ id }) => !events.some(event => event.id === id))
    },
    setAside: async (refused, reason) => {
      aside.push(`${refused.id}: ${reason}`)
      if (refused.type === 'act-set-aside') return false
      if (refused.by?.opens) {
        asks([refused.id], { ...refused.by, refusal: reason })
        return true
      }
      waiting = waiting.map(each => (each === refused ? act(`note of ${refused.id}`, 'act-set-aside') : each))
      return true
    },
    isWell: async () => isWell,
    stands: standing => stood.push(standing),
    pause: async milliseconds => {
      pauses.push(milliseconds)
      if (pauses.length > 30) throw new Error('it never ends')
    },
  })
  return {
    sender,
    posted,
    taken,
    aside,
    stood,
    pauses,
    waits: () => waiting.map(({ id }) => id),
    /** These acts are worked out anew by the server, which is asked for them. */
    asks,
    /** So often what came through is not fetched. */
    loses: (times: number) => {
      lost = times
    },
    add: (id: string) => (waiting = [...waiting, act(id)]),
  }
}
const nobody = (): PostResult => ({ kind: 'nobody' })
const odd = (): PostResult => ({ kind: 'odd', status: 500 })
const judge = (index: number) => (): PostResult => ({ kind: 'judged', index, reason: 'First the other.' })

describe('a sender', () => {
  it('sends what waits in its order, and gives each its number', async () => {
    const { sender, posted, taken, stood, waits } = deviceWith(['a', 'b', 'c'])
    await sender.send()
    expect(posted).toEqual([['a', 'b', 'c']])
    expect(taken.map(({ id, seq }) => [id, seq])).toEqual([
      ['a', 1],
      ['b', 2],
      ['c', 3],
    ])
    expect([waits(), stood.at(-1)]).toEqual([[], 'sent'])
  })
  it('keeps what nobody answered for and sends it again, ever more patiently', async () => {
    const { sender, posted, pauses, stood, waits } = deviceWith(['a', 'b'], [nobody, nobody, nobody])
    await sender.send()
    expect(posted.at(-1)).toEqual(['a', 'b'])
    expect(pauses).toEqual([500, 1000, 2000])
    expect(stood).toEqual(['offline', 'offline', 'offline', 'sending', 'sent'])
    expect(waits()).toEqual([])
  })
  it('says whether what waits has come through, without waiting out a pause', async () => {
    expect(await deviceWith(['a']).sender.sendNow()).toBe(true)
    const { sender, pauses } = deviceWith(['a'], [nobody, nobody])
    expect(await sender.sendNow()).toBe(false)
    expect(pauses.length).toBeLessThan(2)
  })
  it('sends what was done while it told that nothing is left', async () => {
    const device = deviceWith(['a'])
    let looks = 0
    const { sender } = device
    const hooks = (sender as unknown as { hooks: { waiting: () => Promise<WaitingAct[]> } }).hooks
    const { waiting } = hooks
    hooks.waiting = async () => {
      const found = await waiting()
      // Looked at last, to tell whether the job was refused.
      if (found.length === 0 && ++looks === 3) {
        device.add('b')
        void sender.send()
      }
      return found
    }
    await sender.send()
    expect(device.waits()).toEqual([])
  })
  it('sets aside what the judge refuses, in its place, and goes on with the rest', async () => {
    const { sender, posted, aside, taken } = deviceWith(['a', 'b', 'c'], [judge(1)])
    await sender.send()
    expect(aside).toEqual(['b: First the other.'])
    expect(posted.at(-1)).toEqual(['a', 'note of b', 'c'])
    expect(taken.map(({ id }) => id)).toEqual(['a', 'note of b', 'c'])
  })
  it('waits for a sign-in and drops nothing', async () => {
    const { sender, stood, aside, waits } = deviceWith(['a'], [() => ({ kind: 'sign-in' })])
    await sender.send()
    expect([stood[0], aside, waits()]).toEqual(['sign-in', [], []])
  })
  it('sets aside by itself the one act that is answered oddly again and again, and those behind it go on', async () => {
    const poison = (acts: JobEvent[]): PostResult =>
      acts.some(({ id }) => id === 'a')
        ? odd()
        : { kind: 'accepted', accepted: acts.map(({ id }, index) => ({ id, seq: index + 1 })) }
    const { sender, posted, aside, waits } = deviceWith(
      ['a', 'b'],
      Array.from({ length: 12 }, () => poison),
    )
    await sender.send()
    expect(posted.slice(0, 3)).toEqual([['a', 'b'], ['a'], ['a']])
    expect(aside).toEqual(['a: The server does not take it (500).'])
    expect(waits()).toEqual([])
  })
  it('sets nothing aside while the server is not well', async () => {
    const { sender, aside, waits } = deviceWith(
      ['a', 'b'],
      Array.from({ length: 20 }, () => odd),
      false,
    )
    await sender.send()
    expect([aside, waits()]).toEqual([[], []])
  })
  it('leaves on the device a note that the server does not take either', async () => {
    const { sender, aside, waits, taken } = deviceWith(['a', 'b'], [judge(0), judge(0)])
    await sender.send()
    expect(aside).toEqual(['a: First the other.', 'note of a: First the other.'])
    expect([waits(), taken.map(({ id }) => id)]).toEqual([['note of a'], ['b']])
  })
  it('does not believe a yes that names no act', async () => {
    const { sender, pauses, waits } = deviceWith(['a'], [() => ({ kind: 'accepted', accepted: [] })])
    await sender.send()
    expect([pauses, waits()]).toEqual([[500], []])
  })
  it('sends what is done while it sends', async () => {
    const device = deviceWith(
      ['a'],
      [
        all => {
          device.add('b')
          void device.sender.send()
          return { kind: 'accepted', accepted: all.map(({ id }) => ({ id, seq: 1 })) }
        },
      ],
    )
    await device.sender.send()
    expect(device.waits()).toEqual([])
  })
  it('posts no more at once than a server takes', async () => {
    const { sender, posted } = deviceWith(Array.from({ length: 120 }, (_, index) => `a${index}`))
    await sender.send()
    expect(posted.map(batch => batch.length)).toEqual([50, 50, 20])
  })
})

const opening: Asked = { id: 'opening', opens: true, posts: [{ path: '/api/jobs', body: {} }] }
const acceptAll = (acts: WaitingAct[]): PostResult => ({
  kind: 'accepted',
  accepted: acts.map(({ id }, index) => ({ id, seq: index + 1 })),
})
const through = (): PostResult => ({ kind: 'through' })

it('asks for what the server works out by itself, in its place in the row, and goes on when it is fetched', async () => {
  const device = deviceWith(['opened', 'planned', 'step', 'switched', 'note'], [through, through, acceptAll, through])
  device.asks(['opened', 'planned'], opening)
  device.asks(['switched'], { id: 'switched', posts: [{ path: '/api/jobs/j/options', body: {} }] })
  device.loses(1)
  await device.sender.send()
  expect(device.posted).toEqual([['opened', 'planned'], ['opened', 'planned'], ['step'], ['switched'], ['note']])
  expect(device.waits()).toEqual([])
  expect(device.stood).toContain('offline')
})

it('sends nothing before the job is open: an opening that is refused waits to be put right', async () => {
  const device = deviceWith(
    ['opened', 'step'],
    [() => ({ kind: 'judged', index: 0, reason: 'This car stood at 90 000 km.' }), through],
  )
  device.asks(['opened'], opening)
  await device.sender.send()
  expect([device.waits(), device.stood.at(-1), device.aside]).toEqual([
    ['opened', 'step'],
    'refused',
    ['opened: This car stood at 90 000 km.'],
  ])
  await device.sender.send()
  expect(device.posted).toEqual([['opened']])
  device.asks(['opened'], opening)
  await device.sender.send()
  expect([device.waits(), device.stood.at(-1)]).toEqual([[], 'sent'])
})
